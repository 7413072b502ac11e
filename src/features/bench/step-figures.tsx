'use client';
/** What the hands need at this step: the cut sizes, huge, and a drawing where it helps. */
import type { ReactNode } from 'react';
import type { JobView } from '@/contract/views';
import type { FlatPart, LegPart, StripPart } from '@/core/parts/parts';
import type { StepKey } from '@/core/route/route';
import { type Length, type Sides, type Size, toMm } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { Len, SizeText } from '@/ui/figures';
import { buildName, figureName, legName, partName } from '@/words/builds';
import { HARDWARE_NAMES, hangingText } from '@/words/materials';
import styles from './bench.module.css';

const Big = ({ value }: { value: Length }) => (
  <span className={styles.big}>
    <Len value={value} bare fine />
  </span>
);
const BigSize = ({ of }: { of: Size }) => (
  <span className={styles.bigSize}>
    <Len value={of.w} bare fine /> <i>×</i> <Len value={of.h} bare fine />
  </span>
);

const legsOf = (worked: WorkedOut): LegPart[] => worked.parts.filter((part) => part.kind === 'leg');

/** Legs as they come off the stick, equal ones behind one another, drawn to scale. */
function Stick({ pairs, colour, face }: { pairs: readonly LegPart[]; colour: string; face: number }) {
  const legs = [...pairs].reverse().flatMap((leg) => [leg, leg]);
  const gap = 12;
  const total = legs.reduce((sum, leg) => sum + toMm(leg.longPoint) + gap, 0);
  const scale = 780 / total;
  const names = ['left', 'right', 'top', 'bottom'];
  const tall = Math.max(22, face * scale);
  const starts = legs.map(
    (_, index) => legs.slice(0, index).reduce((sum, leg) => sum + toMm(leg.longPoint) + gap, 0) * scale,
  );
  return (
    <svg
      className={styles.stick}
      viewBox={`0 0 780 ${tall + 30}`}
      role="img"
      aria-label="The legs along the stick: left, right, top, bottom"
    >
      {legs.map((leg, index) => {
        const [x, w] = [starts[index]!, toMm(leg.longPoint) * scale];
        return (
          <g key={index}>
            <text x={x + w / 2} y={14} textAnchor="middle" fontSize="15" fill="var(--soft)">
              {names[index]}
            </text>
            <polygon
              points={`${x},22 ${x + w},22 ${x + w - tall},${22 + tall} ${x + tall},${22 + tall}`}
              fill={colour}
              stroke="var(--soft)"
            />
          </g>
        );
      })}
    </svg>
  );
}

function Legs({ worked }: { worked: WorkedOut }) {
  const all = legsOf(worked);
  const longFirst = worked.resolved.design.practice?.cutFirst !== 'short legs';
  const groups = [...new Set(all.map((leg) => leg.of))].map((of) => all.filter((leg) => leg.of === of));
  return groups.reverse().map((pairs, group) => {
    const frame = worked.sizes.frames.find((one) => one.legs.some((leg) => leg.of === pairs[0]!.of));
    const moulding = frame?.moulding ?? worked.resolved.moulding;
    return (
      <div key={pairs[0]!.of}>
        <p className={styles.lead}>
          {group > 0 && `${legName(pairs[0]!.of)}: `}
          {moulding.name}. Stop on the long point, mitre 45°. {longFirst ? 'Long' : 'Short'} legs first.
        </p>
        {group === 0 && <Stick pairs={pairs} colour={moulding.colour} face={toMm(moulding.faceWidth)} />}
        {(longFirst ? [...pairs].reverse() : pairs).map((leg) => (
          <div key={leg.side} className={styles.figure}>
            <span className={styles.count}>{leg.count} of</span>
            <Big value={leg.cut.longPoint} />
            <span className={styles.beside}>
              <span>{leg.side}</span>
              {leg.cut.rabbetLength && (
                <span>
                  rabbet <Len value={leg.cut.rabbetLength} bare fine />
                </span>
              )}
              <span>
                inside <Len value={leg.shortPoint} bare fine />
              </span>
            </span>
          </div>
        ))}
      </div>
    );
  });
}

const Borders = ({ of }: { of: Sides }) => (
  <span className={styles.beside}>
    <span>
      left <Len value={of.left} bare fine />, right <Len value={of.right} bare fine />
    </span>
    <span>
      top <Len value={of.top} bare fine />, bottom <Len value={of.bottom} bare fine />
    </span>
  </span>
);

function Mats({ worked }: { worked: WorkedOut }) {
  const mats = worked.parts.filter((part) => part.kind === 'flat' && part.layer !== undefined) as FlatPart[];
  const windows = worked.sizes.matted?.windows ?? [];
  const several = windows.length > 1 ? windows : undefined;
  return (
    <>
      <p className={styles.lead}>
        Every layer to one outside size, then the windows from the back: set the guide to each border.
      </p>
      <div className={styles.figure}>
        <span className={styles.count}>outside</span>
        <BigSize of={worked.sizes.cutPackage} />
      </div>
      {mats.map(({ name, layer, part }, index) => (
        <div key={index} className={styles.figure}>
          <span className={styles.count}>{part === 'hidden spacer' ? 'hidden spacer' : name.split(',')[0]}</span>
          <BigSize of={layer!.cut.window} />
          <Borders of={layer!.cut.border} />
        </div>
      ))}
      {several &&
        several.map((one, index) => (
          <div key={index} className={styles.figure}>
            <span className={styles.count}>{one.title || `window ${index + 1}`}</span>
            <BigSize of={one} />
            <span className={styles.beside}>
              <span>
                from the left of all <Len value={one.left} bare fine />
              </span>
              <span>
                from the top <Len value={one.top} bare fine />
              </span>
            </span>
          </div>
        ))}
    </>
  );
}

/** Boards and panes of some kinds: one line for each. */
function Sheets({ worked, parts, lead }: { worked: WorkedOut; parts: readonly string[]; lead: string }) {
  const found = worked.parts.filter((part): part is FlatPart => part.kind === 'flat' && parts.includes(part.part));
  return (
    <>
      {lead && <p className={styles.lead}>{lead}</p>}
      {found.map((part, index) => (
        <div key={index} className={styles.figure}>
          <span className={styles.count}>{part.count} of</span>
          <BigSize of={part.cut} />
          <span className={styles.beside}>
            <span>{part.name || partName(part.part)}</span>
            {part.first && (
              <span>
                cut first to <SizeText of={part.first} fine />
              </span>
            )}
          </span>
        </div>
      ))}
    </>
  );
}

function Strips({ worked }: { worked: WorkedOut }) {
  const strips = worked.parts.filter((part): part is StripPart => part.kind === 'strip');
  return (
    <>
      <p className={styles.lead}>Top and bottom run full, the sides between them.</p>
      {strips.map((part, index) => (
        <div key={index} className={styles.figure}>
          <span className={styles.count}>{part.count} of</span>
          {part.cutLength !== undefined ? <Big value={part.cutLength} /> : <Big value={part.height!} />}
          <span className={styles.beside}>
            <span>{partName(part.part)}</span>
            {part.width !== undefined && (
              <span>
                <Len value={part.width} fine /> wide
              </span>
            )}
            {part.height !== undefined && part.cutLength !== undefined && (
              <span>
                <Len value={part.height} fine /> deep
              </span>
            )}
          </span>
        </div>
      ))}
      <Sheets worked={worked} parts={BOARDS} lead="" />
    </>
  );
}
const BOARDS = ['insert board', 'lift board', 'insert', 'backing patch', 'cloth', 'dry mount board'];

function Hang({ worked }: { worked: WorkedOut }) {
  const { hanging, hardware } = worked;
  const wire = hanging?.by === 'wire' && !hanging.noWire;
  return (
    <>
      <p className={styles.lead}>
        {wire ? 'Rings below the outside top; write the drop on the back and on the card.' : `${hangingText(hanging)}.`}
      </p>
      {wire && (
        <>
          <div className={styles.figure}>
            <span className={styles.count}>rings</span>
            <Big value={hanging.ringDrop} />
            <span className={styles.beside}>
              <span>below the top</span>
              <span>
                {hanging.choose ? `rated ${hanging.choose} kg` : 'none in stock is strong enough'}, pull{' '}
                {hanging.pullKg.toFixed(1)} kg
              </span>
            </span>
          </div>
          <div className={styles.figure}>
            <span className={styles.count}>wire</span>
            <Big value={hanging.wireCut} />
            <span className={styles.beside}>
              <span>cut length</span>
              <span>
                peak <Len value={hanging.wireDrop} bare /> below the top
              </span>
            </span>
          </div>
        </>
      )}
      <ul className={styles.list}>
        {hardware.map((item, index) => (
          <li key={`${item.item} ${index}`}>
            {HARDWARE_NAMES[item.item]} <b>{item.count ?? (item.length && <Len value={item.length} />)}</b>
          </li>
        ))}
      </ul>
    </>
  );
}

function Join({ worked }: { worked: WorkedOut }) {
  const { rabbet, inside, outside } = worked.sizes;
  const seat = rabbet ?? inside;
  const held = worked.hardware.filter((item) => item.item === 'wedge' || item.item === 'corner brace');
  return (
    <>
      <p className={styles.lead}>
        Glue both faces. {rabbet ? 'The seat, measured inside after joining,' : 'The inside, after joining,'} should be
      </p>
      {seat && (
        <div className={styles.figure}>
          <span className={styles.count}>{rabbet ? 'rabbet' : 'inside'}</span>
          <BigSize of={seat} />
        </div>
      )}
      {outside && (
        <div className={styles.figure}>
          <span className={styles.count}>outside</span>
          <BigSize of={outside} />
        </div>
      )}
      <ul className={styles.list}>
        {held.map((item) => (
          <li key={item.item}>
            {HARDWARE_NAMES[item.item]}
            {item.size ? `, ${toMm(item.size)} mm` : ''} <b>{item.count}</b>
          </li>
        ))}
      </ul>
    </>
  );
}

const HOLDS = [
  'flexible point',
  'rigid point',
  'staple',
  'clip',
  'offset clip',
  'spring clip',
  'screw',
  'washer',
  'riser block',
  'shim',
  'corner set',
];
function Fit({ worked }: { worked: WorkedOut }) {
  const { stack } = worked;
  const held = worked.hardware.filter((item) => HOLDS.includes(item.item));
  return (
    <>
      <p className={styles.lead}>
        {held.some((item) => item.item === 'flexible point')
          ? 'One point in the middle of each side, turn over and look; then all round.'
          : held.some((item) => item.item === 'spring clip')
            ? 'Three sides first, hangers into the channel, then the last side and the clips.'
            : 'Centre it by eye, then fasten.'}
      </p>
      {held.map((item) => (
        <div key={item.item} className={styles.figure}>
          <span className={styles.count}>{HARDWARE_NAMES[item.item]?.toLowerCase()}</span>
          <span className={styles.big}>{item.count}</span>
          <span className={styles.beside}>
            {item.length && (
              <span>
                <Len value={item.length} fine /> long
              </span>
            )}
            {item.item === 'flexible point' && stack.room !== undefined && (
              <span>room behind the package {toMm(stack.room).toFixed(1)} mm</span>
            )}
            {item.item === 'flexible point' && stack.fillerUpTo > 0 && (
              <span>fill up to {toMm(stack.fillerUpTo).toFixed(1)} mm</span>
            )}
          </span>
        </div>
      ))}
    </>
  );
}

function Mount({ worked }: { worked: WorkedOut }) {
  const { sizes, hardware, resolved } = worked;
  const hinge = hardware.find((item) => item.item === 'hinge');
  const pins = hardware.find((item) => item.item === 'pin');
  const figures = Object.entries(sizes.figures).filter(
    ([key, value]) => figureName(key) && typeof value === 'number' && value !== 0,
  );
  return (
    <>
      <p className={styles.lead}>
        {hinge
          ? `Hinges at the top only, as few as hold it: ${hinge.count}. Window in front, to check that it lies straight.`
          : pins
            ? `${pins.count} pins or stitches, nearly flat, into the board only.`
            : `${buildName(resolved.design.build)}. Only what was agreed, and so that it comes off again.`}
      </p>
      {sizes.opening && (
        <div className={styles.figure}>
          <span className={styles.count}>window</span>
          <BigSize of={sizes.opening} />
        </div>
      )}
      {figures.map(([key, value]) => (
        <div key={key} className={styles.figure}>
          <span className={styles.count}>{figureName(key)}</span>
          <Big value={value as Length} />
        </div>
      ))}
    </>
  );
}

function Materials({ worked }: { worked: WorkedOut }) {
  const rows: [string, ReactNode][] = [
    ...[...worked.sizes.frames]
      .reverse()
      .map((frame): [string, ReactNode] => [frame.moulding.name, <Len key="m" value={frame.lengthCharged} />]),
    ...worked.stack.layers
      .filter((layer) => layer.size && layer.name)
      .map((layer): [string, ReactNode] => [layer.name, 'one sheet part']),
  ];
  return (
    <ul className={styles.list}>
      {rows.map(([name, amount], index) => (
        <li key={index}>
          {name} <b>{amount}</b>
        </li>
      ))}
    </ul>
  );
}

export function StepFigures({ job, step }: { job: JobView; step: StepKey }) {
  const { worked } = job;
  switch (step) {
    case 'materials-here':
      return <Materials worked={worked} />;
    case 'cut-legs':
      return <Legs worked={worked} />;
    case 'join':
      return <Join worked={worked} />;
    case 'cut-mats':
      return <Mats worked={worked} />;
    case 'cut-glazing':
      return (
        <Sheets
          worked={worked}
          parts={['glazing', 'pane', 'mirror']}
          lead="Try it in the frame before the edges are dressed."
        />
      );
    case 'cut-backing':
      return <Sheets worked={worked} parts={['backing', 'mount board']} lead="" />;
    case 'cut-strips':
      return <Strips worked={worked} />;
    case 'prepare':
    case 'mount':
      return <Mount worked={worked} />;
    case 'finish':
      return <p className={styles.lead}>Coats and grits as the finish asks; let each dry. Match in daylight.</p>;
    case 'pack':
      return (
        <p className={styles.lead}>Everything on the ticket goes with it; corners protected, face to face never.</p>
      );
    case 'install':
      return (
        <p className={styles.lead}>Fix into structure, by local rules; a licensed installer where they require one.</p>
      );
    case 'fit':
      return <Fit worked={worked} />;
    case 'back-and-hang':
      return <Hang worked={worked} />;
    case 'touch-up':
      return <p className={styles.lead}>Corners last: no wax or colour near the glass.</p>;
    case 'final-check':
    case 'hand-over':
      return null;
  }
}
