'use client';
/** The running tape: sizes, parts, then prices. Each line opens to show how its figure came about; cautions sit on the line that causes them. */
import { shownFigures } from '@/core/builds/figures';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import dynamic from 'next/dynamic';
import { type ReactNode, memo, useEffect, useState } from 'react';
import type { Caution } from '@/core/cautions/caution';
import type { Afterwards as Found } from '@/core/ledger/afterwards';
import type { Edit } from '@/core/design/edit';
import type { PiecePrice, PriceLine } from '@/core/pricing/price-line';
import type { OrderPrice } from '@/core/pricing/order-price';
import { DEPTH_STEP, depthText } from '@/core/units/format-length';
import { formatMoney } from '@/core/units/money';
import { weightText } from '@/core/units/weight';
import { type Working, workingText } from '@/core/working';
import type { Hanging } from '@/core/parts/hanging';
import type { WorkedOut } from '@/core/work-out';
import { Cash, FractionText, Len, SizeText } from '@/ui/figures';
import { onKey } from '@/ui/keys';
import { useUnit } from '@/ui/units';
import { figureName } from '@/words/builds';
import { hangingText, lineName } from '@/words/materials';
import styles from './tape.module.css';
import { TAPE } from '@/words/screens/desk';
import { patient } from '@/ui/patient';

const Margin = dynamic(() => patient(() => import('./margin')).then((file) => file.Margin), { loading: () => null });
// The sentences of all cautions come with the first one.
const CautionNote = dynamic(() => patient(() => import('./caution-note')).then((file) => file.CautionNote), {
  loading: () => null,
});
const Parts = dynamic(() => patient(() => import('./tape-parts')).then((file) => file.Parts), { loading: () => null });

function Line({
  name,
  note,
  figure,
  workings,
}: {
  name: string;
  note?: string | undefined;
  figure: ReactNode;
  workings: readonly Working[];
}) {
  const { unit } = useUnit();
  const [open, setOpen] = useState(false);
  return (
    <li className={styles.line} data-open={open}>
      <ButtonBase aria-expanded={open} onClick={() => setOpen(!open)}>
        <span>
          {name} {note && <small className="soft">{note}</small>}
        </span>
        <span className="num">{figure}</span>
      </ButtonBase>
      {open &&
        workings.map((working, index) => (
          <p key={index} className={styles.working}>
            {workings.length > 1 && <b>{working.label}: </b>}
            <FractionText text={workingText(working, unit)} />
          </p>
        ))}
    </li>
  );
}

const SIZES = [
  [TAPE.window, 'opening'],
  [TAPE.packageText, 'package'],
  [TAPE.rabbet, 'rabbet'],
  [TAPE.inside, 'inside'],
  [TAPE.sight, 'sight'],
  [TAPE.outside, 'outside'],
] as const;

/** The lengths a build adds, under their names; a size as two figures. */
function OwnFigures({ worked: { sizes, workings } }: { worked: WorkedOut }) {
  return shownFigures(sizes.figures).map((figure) => {
    const { key } = figure;
    const noted = [`sizes.${key}`, `sizes.${key}.w`, `sizes.${key}.h`].flatMap((path) => workings[path] ?? []);
    const text = figure.unit === 'length' ? <Len value={figure.value} /> : <SizeText of={figure.value} />;
    return <Line key={key} name={figureName(key)} figure={text} workings={noted} />;
  });
}

/** The line a caution sits under: sizes, stack, weight, or the hanging. */
const lineOf = ({ path, code }: Caution): string => {
  if (code.startsWith('depth')) return 'depth';
  if (path.startsWith('window') || path.startsWith('several')) return 'opening';
  if (/^(border|mats|spacer)/.test(path)) return 'package';
  if (/^(own|piece|value|mount$)/.test(path)) return 'own';
  if (/^(frame|finish)/.test(path)) return 'outside';
  if (/^(backing|filler)/.test(path)) return 'depth';
  return /^(hanging|place)/.test(path) ? 'hanging' : 'glazing';
};

const HANGING_WORKINGS = [
  ...['ringDrop', 'span', 'workingLength', 'rise', 'wireDrop', 'wireCut', 'hookHeight'].map((key) => `hanging.${key}`),
  'weight.kg',
  'hanging.pullKg',
  'hanging.ringKg',
];

const PLATE_WORKINGS = ['hanging.sawtoothDrop', 'hanging.ringDrop', 'hanging.span', 'hanging.hookHeight', 'weight.kg'];
const wired = ({ by, noWire }: Hanging) => by === 'wire' && !noWire;

/** What is taken off or put on after the lines; nothing where nothing is. */
const adjustments = (price: PiecePrice): [string, number][] =>
  (
    [
      [TAPE.forSeveralAlike, price.quantityBreak],
      [TAPE.soonerThanUsual, price.rush],
      [TAPE.discount, price.discount],
      [TAPE.rounding, price.rounding],
    ] as [string, number | undefined][]
  ).flatMap(([name, amount]) => (amount ? [[name, amount]] : []));

interface TapeProps {
  readonly worked: WorkedOut;
  /** Of measures that are no longer in the fields. */
  readonly former?: boolean;
  /** The customer looks on: no price tells what it is made of. */
  readonly turned?: boolean;
  readonly onApply?: ((edit: Edit) => void) | undefined;
  /** Opens what can be taken off; not given where nothing can be changed. */
  readonly onConcession?: (() => void) | undefined;
}

function PriceLines({ lines, turned }: { lines: readonly PriceLine[]; turned: boolean }) {
  if (turned)
    return lines.map((line, index) => (
      <li key={index} className={styles.quiet}>
        <span>{lineName(line)}</span>
        <span className="num">
          <Cash value={line.amount} />
        </span>
      </li>
    ));
  // What was agreed with 0.4.0 may have two lines of one key.
  return lines.map((line, index) => (
    <Line
      key={index}
      name={lineName(line)}
      note={line.rule === undefined ? line.quantity : `${line.quantity} ${TAPE.byRule(formatMoney(line.rule))}`}
      figure={<Cash value={line.amount} />}
      workings={line.workings}
    />
  ));
}

export const Tape = memo(function Tape({ worked, former = false, turned = false, onApply, onConcession }: TapeProps) {
  const { unit } = useUnit();
  const [parts, setParts] = useState(false);
  const { sizes, workings, cautions, stack, weight, hanging, price } = worked;
  const under = (line: string) =>
    cautions
      .filter((caution) => lineOf(caution) === line)
      .map((one) => (
        <li key={one.code}>
          <CautionNote caution={one} onApply={onApply} />
        </li>
      ));
  const both = (key: string) => ['w', 'h'].flatMap((side) => workings[`sizes.${key}.${side}`] ?? []);
  return (
    <div className={styles.tape} data-former={former}>
      {former && <p className={styles.former}>{TAPE.anExampleUntilAll}</p>}
      <h2>{TAPE.sizes}</h2>
      <ul>
        {SIZES.map(([name, key]) => [
          sizes[key] && !(key === 'sight' && sizes.inside) && (
            <Line key={key} name={name} figure={<SizeText of={sizes[key]} />} workings={both(key)} />
          ),
          ...under(key),
        ])}
        <OwnFigures worked={worked} />
        {under('own')}
        <Line
          name={TAPE.stack}
          note={stack.room === undefined ? undefined : TAPE.room(depthText(stack.room, unit))}
          figure={<Len value={stack.total} step={DEPTH_STEP[unit]} />}
          workings={['stack.total', 'stack.room'].flatMap((key) => workings[key] ?? [])}
        />
        {under('depth')}
        {hanging && (
          <Line
            name={TAPE.hookBelowTop}
            note={wired(hanging) ? undefined : hangingText(hanging)}
            figure={<Len value={hanging.hookDrop} />}
            workings={(wired(hanging) ? HANGING_WORKINGS : PLATE_WORKINGS).flatMap((key) => workings[key] ?? [])}
          />
        )}
        {under('hanging')}
        <li className={styles.line}>
          <ButtonBase aria-expanded={parts} onClick={() => setParts(!parts)}>
            <span>
              {TAPE.parts} <small className="soft">{TAPE.cutSizes(weightText(weight.kg, unit))}</small>
            </span>
            <span className="num">{worked.parts.reduce((sum, part) => sum + part.count, 0)}</span>
          </ButtonBase>
        </li>
        {parts && <Parts worked={worked} />}
        {under('glazing')}
      </ul>
      {price && (
        <>
          <h2>{TAPE.price}</h2>
          <ul>
            <PriceLines lines={price.lines} turned={turned} />
            {adjustments(price).map(([name, amount]) => (
              <li key={name} className={styles.quiet}>
                <span>{name}</span>
                <span className="num">
                  <Cash value={amount} />
                </span>
              </li>
            ))}
          </ul>
          {onConcession && (
            <Button variant="text" className={styles.concede ?? ''} onClick={onConcession}>
              {TAPE.concede}
            </Button>
          )}
        </>
      )}
    </div>
  );
});

/** What it comes to, always in sight: the piece, the tax, the order, the deposit. */
export function Totals({
  piece,
  order,
  all,
  floor,
  after,
  currency = '',
  turned = false,
}: {
  piece: WorkedOut['price'];
  order: OrderPrice | undefined;
  /** The prices of all pieces, as far as they have one. */
  all: readonly WorkedOut['price'][];
  /** Percent of margin below which it is warned. */
  floor: number;
  /** Three letters, or nothing. */
  currency?: string;
  /** What it came to so far, once it is agreed. */
  after?: Found | undefined;
  /** The customer looks on. */
  turned?: boolean;
}) {
  const [margin, setMargin] = useState(false);
  useEffect(() => onKey('m', () => setMargin((shown) => !shown)), []);
  const pieces = all.length;
  const priced = all.flatMap((one) => one ?? []);
  return (
    <>
      {margin && !turned && piece && order && (
        <Margin piece={piece} all={priced} order={order} floor={floor} after={after} />
      )}
      <dl className={styles.total}>
        <div>
          <dt>{TAPE.thisPiece}</dt>
          <dd>{piece ? <Cash value={piece.price} /> : '—'}</dd>
        </div>
        {order?.tax.map((tax) => (
          <div key={tax.percent}>
            <dt>
              {TAPE.tax(
                tax.percent,
                pieces > 1 ? TAPE.pieces(pieces) : '',
                order.taxMode === 'inclusive' ? ' contained' : '',
              )}
            </dt>
            <dd>
              <Cash value={tax.amount} />
            </dd>
          </div>
        ))}
        <div>
          <dt>{[TAPE.orderWithTax, currency].filter(Boolean).join(', ')}</dt>
          <dd>
            <b>{order ? <Cash value={order.total} /> : '—'}</b>
          </dd>
        </div>
        <div>
          <dt>{TAPE.deposit}</dt>
          <dd>{order ? <Cash value={order.deposit} /> : '—'}</dd>
        </div>
      </dl>
    </>
  );
}
