'use client';
/** The running tape: sizes, parts, then prices. Each line opens to show how its figure came about; cautions sit on the line that causes them. */
import { type ReactNode, memo, useState } from 'react';
import type { Caution } from '@/core/cautions/caution';
import type { Edit } from '@/core/design/edit';
import type { OrderPrice, PriceLine } from '@/core/pricing/price';
import type { Size } from '@/core/units/length';
import { type Working, workingText } from '@/core/working';
import type { WorkedOut } from '@/core/work-out';
import { Cash, FractionText, Len, SizeText } from '@/ui/figures';
import { Note } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { sayCaution, sayWayOut } from '@/words/issues';
import { HARDWARE_NAMES, LINE_NAMES } from '@/words/materials';
import styles from './tape.module.css';

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
      <button type="button" aria-expanded={open} onClick={() => setOpen(!open)}>
        <span>
          {name} {note && <small className="soft">{note}</small>}
        </span>
        <span className="num">{figure}</span>
      </button>
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

export function CautionNote({ caution, onApply }: { caution: Caution; onApply?: ((edit: Edit) => void) | undefined }) {
  const { unit } = useUnit();
  return (
    <Note tone={caution.level}>
      <p>
        <FractionText text={sayCaution(caution.code, caution.figures, unit)} />
      </p>
      {onApply &&
        caution.waysOut.map((way) => (
          <button key={way.code} type="button" className={styles.way} onClick={() => onApply(way.edit)}>
            <FractionText text={sayWayOut(way.code, way.figures, unit)} />
          </button>
        ))}
    </Note>
  );
}

const SIZES = [
  ['Window', 'opening'],
  ['Package', 'package'],
  ['Rabbet', 'rabbet'],
  ['Sight', 'sight'],
  ['Outside', 'outside'],
] as const;

/** The line a caution sits under: sizes, stack, weight, or the hanging. */
const lineOf = ({ path, code }: Caution): string => {
  if (code.startsWith('depth')) return 'depth';
  if (path.startsWith('window')) return 'opening';
  if (path.startsWith('border') || path.startsWith('mats')) return 'package';
  if (path.startsWith('frame')) return 'outside';
  return path.startsWith('hanging') ? 'hanging' : 'glazing';
};

interface TapeProps {
  readonly worked: WorkedOut;
  readonly onApply?: ((edit: Edit) => void) | undefined;
}

function PriceLines({ lines }: { lines: readonly PriceLine[] }) {
  return lines.map((line) => (
    <Line
      key={line.key}
      name={LINE_NAMES[line.key] ?? line.key}
      note={line.quantity}
      figure={<Cash value={line.amount} />}
      workings={line.workings}
    />
  ));
}

function Parts({ worked }: { worked: WorkedOut }) {
  return (
    <ul className={styles.parts}>
      {worked.parts.map((part, index) => (
        <li key={index}>
          {part.part === 'leg' ? (
            <>
              <span>2 legs, {part.side}</span>
              <span className="num">
                <Len value={part.cut.longPoint} bare fine /> long point
              </span>
            </>
          ) : (
            <>
              <span>
                {part.part === 'mat' || part.part === 'backing' || part.part === 'glazing' ? part.name : 'Dust cover'}
              </span>
              <span className="num">
                <SizeText of={part.cut} fine />
              </span>
            </>
          )}
        </li>
      ))}
      {worked.hardware.map((item) => (
        <li key={item.item}>
          <span>
            {HARDWARE_NAMES[item.item]}
            {item.rating ? `, ${item.rating} kg` : ''}
          </span>
          <span className="num">{item.length ? <Len value={item.length} /> : item.count}</span>
        </li>
      ))}
    </ul>
  );
}

export const Tape = memo(function Tape({ worked, onApply }: TapeProps) {
  const [parts, setParts] = useState(false);
  const { sizes, workings, cautions, stack, weight, hanging, price } = worked;
  const under = (line: string) =>
    cautions
      .filter((one) => lineOf(one) === line)
      .map((one) => (
        <li key={one.code}>
          <CautionNote caution={one} onApply={onApply} />
        </li>
      ));
  const both = (key: string) => ['w', 'h'].flatMap((side) => workings[`sizes.${key}.${side}`] ?? []);
  return (
    <div className={styles.tape}>
      <h2>Sizes</h2>
      <ul>
        {SIZES.map(([name, key]) => [
          <Line key={key} name={name} figure={<SizeText of={sizes[key] as Size} />} workings={both(key)} />,
          ...under(key),
        ])}
        <Line
          name="Stack"
          note={`room ${(stack.room / 320).toFixed(1)} mm`}
          figure={<Len value={stack.total} unit="mm" fine />}
          workings={[workings['stack.total']!, workings['stack.room']!]}
        />
        {under('depth')}
        {hanging && (
          <Line
            name="Hook below top"
            figure={<Len value={hanging.wireDrop} />}
            workings={['ringDrop', 'span', 'wireDrop', 'wireCut'].flatMap((key) => workings[`hanging.${key}`] ?? [])}
          />
        )}
        {under('hanging')}
        <li className={styles.line}>
          <button type="button" aria-expanded={parts} onClick={() => setParts(!parts)}>
            <span>
              Parts <small className="soft">cut sizes, {weight.kg.toFixed(1)} kg</small>
            </span>
            <span className="num">{worked.parts.reduce((sum, part) => sum + part.count, 0)}</span>
          </button>
        </li>
        {parts && <Parts worked={worked} />}
        {under('glazing')}
      </ul>
      {price && (
        <>
          <h2>Price</h2>
          <ul>
            <PriceLines lines={price.lines} />
            {price.rounding !== 0 && (
              <li className={styles.quiet}>
                <span>Rounding</span>
                <span className="num">
                  <Cash value={price.rounding} />
                </span>
              </li>
            )}
          </ul>
        </>
      )}
    </div>
  );
});

/** What it comes to, always in sight: the piece, the tax, the order, the deposit. */
export function Totals({
  piece,
  order,
  pieces,
}: {
  piece: WorkedOut['price'];
  order: OrderPrice | undefined;
  pieces: number;
}) {
  return (
    <dl className={styles.total}>
      <div>
        <dt>This piece</dt>
        <dd>{piece ? <Cash value={piece.price} /> : '—'}</dd>
      </div>
      {order?.tax.map((tax) => (
        <div key={tax.percent}>
          <dt>
            Tax {tax.percent} %{pieces > 1 ? `, ${pieces} pieces` : ''}
            {order.taxMode === 'inclusive' ? ' contained' : ''}
          </dt>
          <dd>
            <Cash value={tax.amount} />
          </dd>
        </div>
      ))}
      <div>
        <dt>Order with tax</dt>
        <dd>
          <b>{order ? <Cash value={order.total} /> : '—'}</b>
        </dd>
      </div>
      <div>
        <dt>Deposit</dt>
        <dd>{order ? <Cash value={order.deposit} /> : '—'}</dd>
      </div>
    </dl>
  );
}
