'use client';
/** The shop's own numbers of its accounts. */
import { ACCOUNTS } from '@/core/ledger/account-list';
import { Field } from '@/ui/form';
import { MONEY_SETTINGS } from '@/words/screens/settings';
import { ACCOUNT_NAMES } from '@/words/screens/till';
import styles from './settings.module.css';

export function AccountNumbers() {
  return (
    <>
      <p className="soft">{MONEY_SETTINGS.accountsSay}</p>
      {ACCOUNTS.map((account) => (
        <div key={account} className={styles.row}>
          <Field name={`account-${account}`} label={ACCOUNT_NAMES[account]} most={20} />
        </div>
      ))}
    </>
  );
}
