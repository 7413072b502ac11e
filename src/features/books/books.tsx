'use client';
/** The books: the price list with its profiles, a supplier's list coming in or going out, and the people. */
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { PersonView, ShopView } from '@/contract/views';
import { useLive } from '@/ui/live';
import { Len } from '@/ui/figures';
import { ProfileMark } from '@/ui/profile-mark';
import styles from './books.module.css';
import { ImportList } from './import-list';
import { People } from './people';
import { PriceRules } from './price-rules';

export function Books({ shop, people, owner }: { shop: ShopView; people: readonly PersonView[]; owner: boolean }) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [importing, setImporting] = useState(false);
  useLive(
    (touched) => touched.includes('books') || touched.includes('staff'),
    () => router.refresh(),
  );
  const { mouldings } = shop.lists;
  const list = useMemo(() => {
    const words = text.toLowerCase().split(/\s+/).filter(Boolean);
    return mouldings.filter((moulding) =>
      words.every((word) =>
        `${moulding.code} ${moulding.name} ${moulding.supplier} ${moulding.profile}`.toLowerCase().includes(word),
      ),
    );
  }, [mouldings, text]);
  if (importing) return <ImportList onClose={() => setImporting(false)} />;
  return (
    <main className={styles.books}>
      <header>
        <h1>Price list</h1>
        <p className="soft">
          {mouldings.length} mouldings, edition {shop.prices.edition}
        </p>
        <input
          className={styles.search}
          type="search"
          value={text}
          placeholder="Name, code, supplier"
          aria-label="Search the price list"
          onChange={(event) => setText(event.target.value)}
        />
        <a className={styles.export} href="/interface">
          Open interface
        </a>
        <a className={styles.export} href="/api/v1/export/mouldings.csv">
          Export as CSV
        </a>
        {owner && (
          <Button variant="contained" onClick={() => setImporting(true)}>
            Import a list
          </Button>
        )}
      </header>
      <div className={styles.columns}>
        <div className={styles.scroll}>
          <table>
            <thead>
              <tr>
                <th aria-label="Profile" />
                <th>Moulding</th>
                <th>Supplier</th>
                <th className="num">Face</th>
                <th className="num">Rabbet</th>
                <th className="num">Deep</th>
                <th className="num">Stick</th>
                <th className="num">Cost</th>
              </tr>
            </thead>
            <tbody>
              {list.slice(0, 300).map((one) => (
                <tr key={one.code}>
                  <td>
                    <ProfileMark moulding={one} size={30} />
                  </td>
                  <td>
                    {one.name} <span className="soft">{one.code}</span>
                  </td>
                  <td className="soft">{one.supplier}</td>
                  <td className="num">
                    <Len value={one.faceWidth} bare />
                  </td>
                  <td className="num">
                    <Len value={one.rabbetWidth} bare />
                  </td>
                  <td className="num">
                    <Len value={one.rabbetDepth} bare />
                  </td>
                  <td className="num">{one.stick ? <Len value={one.stick} bare /> : ''}</td>
                  <td className="num">
                    {one.cost?.amount}
                    <span className="unit">{one.cost?.per}</span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {list.length === 0 && (
            <p className={styles.none}>
              {mouldings.length === 0
                ? 'No moulding yet. A supplier’s list as CSV fills this table; a sample lies in the folder samples.'
                : 'No moulding has these words.'}
            </p>
          )}
        </div>
        <aside>
          <PriceRules prices={shop.prices} owner={owner} />
          <People people={people} owner={owner} />
        </aside>
      </div>
    </main>
  );
}
