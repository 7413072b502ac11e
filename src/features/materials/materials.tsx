'use client';
/** Mats, glass and backs as the shop sells them; the owner adds, changes and retires them here. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { PersonView, ShopView } from '@/contract/views';
import { formatLength } from '@/core/units/format-length';
import { moneyFrom } from '@/core/units/money';
import { mul, mustDecimal } from '@/core/units/rational';
import { Cash, Len } from '@/ui/figures';
import { useView } from '@/ui/query';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { Tabs } from '@/ui/tabs';
import { useUnit } from '@/ui/units';
import { MATERIALS } from '@/words/screens/materials';
import { type AnySheet, SHEET_KINDS, type SheetKind } from './sheet-values';
import styles from './materials.module.css';
import { patient } from '@/ui/patient';

const SheetForm = dynamic(() => patient(() => import('./sheet-form')).then((file) => file.SheetForm), {
  loading: () => null,
});

interface BooksView {
  readonly shop: ShopView;
  readonly people: readonly PersonView[];
}
const LISTS = { mat: 'mats', glazing: 'glazings', backing: 'backings' } as const satisfies Record<SheetKind, string>;

/** Cost times markup, for the unit it is sold by; nothing where a chart prices it. */
function SoldAt({ sheet, kind, shop }: { sheet: AnySheet; kind: SheetKind; shop: ShopView }) {
  const rule = { ...shop.prices.groups[kind], ...sheet.price };
  if (rule.school === 'chart') return MATERIALS.chart;
  return sheet.cost ? <Cash value={moneyFrom(mul(mustDecimal(sheet.cost.amount), mustDecimal(rule.markup)))} /> : null;
}

export function Materials({ first, owner }: { first: BooksView; owner: boolean }) {
  const {
    view: { shop },
  } = useView<BooksView>('/api/shop', first, ['books', 'staff']);
  const { unit } = useUnit();
  const [kind, setKind] = useState<SheetKind>('mat');
  const [open, setOpen] = useState<AnySheet | 'new' | undefined>();
  const list: readonly AnySheet[] = shop.lists[LISTS[kind]];
  const show = (to: SheetKind) => {
    setKind(to);
    setOpen(undefined);
  };
  return (
    <main className={styles.page}>
      <header>
        <h1>{MATERIALS.head}</h1>
        <p className="soft">{MATERIALS.lead(shop.prices.edition)}</p>
        <a href="/books">{MATERIALS.back}</a>
        {owner && (
          <Button variant="outlined" onClick={() => setOpen('new')}>
            {MATERIALS.add(MATERIALS.one[kind])}
          </Button>
        )}
      </header>
      <Tabs
        id="materials"
        label={MATERIALS.kindsLong}
        value={kind}
        options={SHEET_KINDS.map((code) => [code, MATERIALS.kinds[code]] as const)}
        onChange={show}
      />
      <div className={styles.columns}>
        <div
          id="materials-panel"
          role="tabpanel"
          aria-labelledby={`materials-tab-${kind}`}
          tabIndex={0}
          className={styles.scroll}
        >
          <SheetTable label={MATERIALS.kinds[kind]} columns={MATERIALS.columns} sticky>
            {list.map((sheet) => (
              <Row key={sheet.code} selected={sheet === open}>
                <Cell>
                  <i className={styles.patch} style={{ background: sheet.colour }} />
                </Cell>
                <Cell>
                  {sheet.name} <span className="soft">{sheet.code}</span>
                </Cell>
                <Cell num>
                  <Len value={sheet.thickness} />
                </Cell>
                <Cell num>
                  {sheet.largest && `${formatLength(sheet.largest.w, unit)} × ${formatLength(sheet.largest.h, unit)}`}
                </Cell>
                <Cell num>
                  {sheet.cost?.amount} <span className="unit">{sheet.cost && MATERIALS.per[sheet.cost.per]}</span>
                </Cell>
                <Cell num>
                  <SoldAt sheet={sheet} kind={kind} shop={shop} />
                </Cell>
                <Cell>{sheet.archival ? MATERIALS.yes : MATERIALS.no}</Cell>
                <Cell>
                  {owner && (
                    <Button variant="text" onClick={() => setOpen(sheet)} aria-label={MATERIALS.change(sheet.name)}>
                      {MATERIALS.change('')}
                    </Button>
                  )}
                </Cell>
              </Row>
            ))}
          </SheetTable>
        </div>
        {open && (
          <aside>
            <SheetForm
              key={open === 'new' ? `new ${kind}` : open.code}
              kind={kind}
              sheet={open === 'new' ? undefined : open}
              shop={shop}
              onDone={() => setOpen(undefined)}
            />
          </aside>
        )}
      </div>
    </main>
  );
}
