/** The page that stands in for a payment provider. It needs no script either. */
import { PAY_PAGE } from '@/words/screens/link';
import styles from './link.module.css';

interface Props {
  readonly reference: string;
  readonly asked: { readonly amount: number; readonly text: string; readonly back: string } | undefined;
  readonly settled: boolean;
}
export function PaymentPage({ reference, asked, settled }: Props) {
  return (
    <main className={styles.narrow}>
      <h1>{PAY_PAGE.head}</h1>
      <p className={styles.said}>{PAY_PAGE.stands}</p>
      {asked ? (
        <>
          <p>{asked.text}</p>
          <form method="post" action={`/api/pay/${reference}`} className={styles.both}>
            {settled ? (
              <p>{PAY_PAGE.settled}</p>
            ) : (
              <>
                <button type="submit" name="act" value="pay" data-first="true">
                  {PAY_PAGE.pay(asked.amount)}
                </button>
                <button type="submit" name="act" value="leave">
                  {PAY_PAGE.leave}
                </button>
              </>
            )}
          </form>
          <a href={asked.back}>{PAY_PAGE.back}</a>
        </>
      ) : (
        <p>{PAY_PAGE.unknown}</p>
      )}
    </main>
  );
}
