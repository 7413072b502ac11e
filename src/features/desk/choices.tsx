'use client';
/** The choices in the order the talk goes. One section is open; the others say in a line what was chosen. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { type ReactNode, memo, useId } from 'react';
import type { ShopView } from '@/contract/views';
import type { Design } from '@/core/design/design';
import { PIECE_KINDS } from '@/core/design/design';
import type { Path } from '@/core/design/edit';
import { defaultSettings } from '@/core/settings';
import { formatLength } from '@/core/units/format-length';
import { type Unit, length } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { FractionText, Len } from '@/ui/figures';
import { LengthField } from '@/ui/length-field';
import { KIND_NAMES } from '@/words/materials';
import { type DraftPiece, keyOf, lengthAt, typedIssue } from './draft';
import styles from './desk.module.css';
import { MouldingChoice } from './moulding-choice';
import type { Desk } from './use-desk';

interface SectionProps {
  readonly shop: ShopView;
  readonly piece: DraftPiece;
  readonly worked: WorkedOut | undefined;
  readonly unit: Unit;
  readonly desk: Pick<Desk, 'type' | 'commit' | 'put'>;
}

function Measure({
  label,
  path,
  hint,
  piece,
  unit,
  desk,
}: { label: string; path: Path; hint?: string } & Pick<SectionProps, 'piece' | 'unit' | 'desk'>) {
  return (
    <LengthField
      label={label}
      name={keyOf(path)}
      value={lengthAt(piece, path)}
      typed={piece.typed[keyOf(path)]}
      issue={typedIssue(piece, path, unit)}
      hint={hint}
      onType={(text) => desk.type(path, text)}
      onCommit={() => desk.commit(path)}
    />
  );
}

function TextField({
  label,
  value,
  onChange,
  most,
  name,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  most: number;
  name: string;
}) {
  const id = useId();
  return (
    <div className={styles.text}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        name={name}
        value={value}
        fullWidth
        autoComplete="off"
        onChange={(event) => onChange(event.target.value)}
        slotProps={{ input: { maxLength: most } }}
      />
    </div>
  );
}

export function Toggle<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}) {
  return (
    <div className={styles.toggle} role="group" aria-label={label}>
      {options.map(([key, name]) => (
        <button key={key} type="button" data-stop aria-pressed={key === value} onClick={() => onChange(key)}>
          {name}
        </button>
      ))}
    </div>
  );
}

function Choose({
  label,
  value,
  options,
  onChange,
  name,
}: {
  label: string;
  value: string;
  options: readonly { code: string; name: string; colour?: string }[];
  onChange: (code: string) => void;
  name: string;
}) {
  const id = useId();
  const gone = !options.some((one) => one.code === value);
  return (
    <div className={styles.text}>
      <label id={id}>{label}</label>
      <Select
        fullWidth
        name={name}
        value={value}
        labelId={id}
        onChange={(event) => onChange(event.target.value)}
        renderValue={(code) => {
          const one = options.find((option) => option.code === code);
          return (
            <span className={styles.chosen}>
              {one?.colour && <i style={{ background: one.colour }} />}
              {one?.name ?? `${code}, no longer listed`}
            </span>
          );
        }}
      >
        {gone && (
          <MenuItem value={value} disabled>
            {value}
          </MenuItem>
        )}
        {options.map((one) => (
          <MenuItem key={one.code} value={one.code}>
            <span className={styles.chosen}>
              {one.colour && <i style={{ background: one.colour }} />}
              {one.name}
            </span>
          </MenuItem>
        ))}
      </Select>
    </div>
  );
}

const codeOf = (choice: { code: string } | { given: { code: string } }) =>
  'code' in choice ? choice.code : choice.given.code;

function PieceSection({ piece, unit, desk }: SectionProps) {
  const { piece: it } = piece.design;
  return (
    <>
      <TextField
        label="Name"
        name="title"
        value={it.title}
        most={120}
        onChange={(text) => desk.put(['piece', 'title'], text, true)}
      />
      <Choose
        label="Kind"
        name="kind"
        value={it.kind}
        options={PIECE_KINDS.map((code) => ({ code, name: KIND_NAMES[code]! }))}
        onChange={(kind) => desk.put(['piece', 'kind'], kind)}
      />
      <div className={styles.pair}>
        <Measure
          label="Width"
          path={['piece', 'width']}
          hint={piece.typed['piece.width'] === '' ? 'or both: 12 x 16' : ''}
          piece={piece}
          unit={unit}
          desk={desk}
        />
        <Measure label="Height" path={['piece', 'height']} piece={piece} unit={unit} desk={desk} />
      </div>
      {it.width2 !== undefined && it.height2 !== undefined ? (
        <div className={styles.pair}>
          <Measure label="Width, lower end" path={['piece', 'width2']} piece={piece} unit={unit} desk={desk} />
          <Measure label="Height, right end" path={['piece', 'height2']} piece={piece} unit={unit} desk={desk} />
        </div>
      ) : (
        <Button
          variant="text"
          size="small"
          onClick={() => desk.put(['piece'], { ...it, width2: it.width, height2: it.height })}
        >
          Measure the other ends too
        </Button>
      )}
      <Toggle
        label="Original or reproduction"
        value={it.irreplaceable ? 'original' : 'reproduction'}
        options={[
          ['reproduction', 'Reproduction'],
          ['original', 'Original'],
        ]}
        onChange={(to) => desk.put(['piece', 'irreplaceable'], to === 'original')}
      />
      <label className={styles.tick}>
        <input
          type="checkbox"
          checked={it.signed}
          onChange={(event) => desk.put(['piece', 'signed'], event.target.checked)}
        />{' '}
        Signed
      </label>
    </>
  );
}

function MatSection({ shop, piece, worked, unit, desk }: SectionProps) {
  const { design } = piece;
  const settings = defaultSettings(shop.homeUnit);
  const { mats, border } = design;
  const setMode = (mode: 'equal' | 'weighted') =>
    desk.put(
      ['border'],
      mode === 'equal' ? { mode, all: border.all } : { mode, all: border.all, extra: settings.bottomExtra },
    );
  return (
    <>
      {mats.map((mat, index) => (
        <div key={index} className={styles.layer}>
          <Choose
            label={index === 0 ? 'Top mat' : index === 1 ? 'Second mat' : 'Third mat'}
            name={`mats.${index}.board`}
            value={codeOf(mat.board)}
            options={shop.lists.mats}
            onChange={(code) => desk.put(['mats', index, 'board'], { code })}
          />
          {index > 0 && (
            <div className={styles.reveal}>
              <Measure label="Shows" path={['mats', index, 'reveal']} piece={piece} unit={unit} desk={desk} />
              {index === mats.length - 1 && (
                <Button
                  variant="text"
                  size="small"
                  aria-label="Take this mat out"
                  onClick={() => desk.put(['mats'], mats.slice(0, -1))}
                >
                  Take out
                </Button>
              )}
            </div>
          )}
        </div>
      ))}
      {mats.length < 3 && (
        <Button
          variant="text"
          size="small"
          onClick={() => desk.put(['mats'], [...mats, { board: mats.at(-1)!.board, reveal: settings.reveal }])}
        >
          Add a mat under it
        </Button>
      )}
      <Toggle
        label="Borders"
        value={border.mode}
        options={[
          ['equal', 'Equal'],
          ['weighted', 'Heavier below'],
        ]}
        onChange={setMode}
      />{' '}
      <div className={styles.pair}>
        <Measure
          label={border.mode === 'equal' ? 'Border' : 'Sides and top'}
          path={['border', 'all']}
          piece={piece}
          unit={unit}
          desk={desk}
        />
        {border.mode === 'weighted' && (
          <Measure label="More below" path={['border', 'extra']} piece={piece} unit={unit} desk={desk} />
        )}
      </div>
      <Measure label="Overlap on the piece" path={['window', 'overlap']} piece={piece} unit={unit} desk={desk} />
      {worked && (
        <p className={styles.aside}>
          Seen in the frame: <Len value={worked.sizes.visibleBorder.left} /> at the sides,{' '}
          <Len value={worked.sizes.visibleBorder.bottom} /> below
        </p>
      )}
    </>
  );
}

function FrameSection({ shop, piece, unit, desk }: SectionProps) {
  return (
    <>
      <MouldingChoice
        shop={shop}
        chosen={codeOf(piece.design.frame.moulding)}
        onChoose={(code) => desk.put(['frame', 'moulding'], { code })}
      />
      <Measure label="Allowance in the rabbet" path={['frame', 'allowance']} piece={piece} unit={unit} desk={desk} />
    </>
  );
}

function GlassSection({ shop, piece, desk }: SectionProps) {
  return (
    <Choose
      label="Glazing"
      name="glazing"
      value={codeOf(piece.design.glazing)}
      options={shop.lists.glazings}
      onChange={(code) => desk.put(['glazing'], { code })}
    />
  );
}

function BackSection({ shop, piece, worked, unit, desk }: SectionProps) {
  const { hanging } = piece.design;
  const mode = typeof hanging.rings === 'object' ? 'distance' : hanging.rings;
  const setRings = (to: 'third' | 'quarter' | 'none' | 'distance') =>
    desk.put(
      ['hanging', 'rings'],
      to === 'distance' ? { distance: worked?.hanging?.ringDrop ?? length(8128 * 4) } : to,
    );
  return (
    <>
      <Choose
        label="Backing"
        name="backing"
        value={codeOf(piece.design.backing)}
        options={shop.lists.backings}
        onChange={(code) => desk.put(['backing'], { code })}
      />
      <p className={styles.aside}>Rings below the top</p>
      <Toggle
        label="Rings below the top"
        value={mode}
        options={[
          ['third', 'A third'],
          ['quarter', 'A quarter'],
          ['distance', 'Set'],
          ['none', 'No wire'],
        ]}
        onChange={setRings}
      />{' '}
      {mode === 'distance' && (
        <Measure
          label="Rings below the top"
          path={['hanging', 'rings', 'distance']}
          piece={piece}
          unit={unit}
          desk={desk}
        />
      )}
      {mode !== 'none' && (
        <Choose
          label="Slack in the wire"
          name="slack"
          value={hanging.slack}
          options={['0.01', '0.02', '0.05', '0.1', '0.15'].map((code) => ({
            code,
            name: `${Math.round(Number(code) * 100)} %`,
          }))}
          onChange={(slack) => desk.put(['hanging', 'slack'], slack)}
        />
      )}
    </>
  );
}

function InsistsSection({ piece, desk }: SectionProps) {
  return (
    <TextField
      label="What must not be forgotten"
      name="insists"
      value={piece.design.insists}
      most={400}
      onChange={(text) => desk.put(['insists'], text, true)}
    />
  );
}

interface Section {
  readonly key: string;
  readonly name: string;
  readonly body: (props: SectionProps) => ReactNode;
  readonly says: (design: Design, worked: WorkedOut | undefined, unit: Unit) => string;
  /** Beginnings of the paths whose cautions belong here. */
  readonly paths: readonly string[];
}
const short = (design: Design, unit: Unit) =>
  `${formatLength(design.piece.width, unit)} × ${formatLength(design.piece.height, unit)}`;
export const SECTIONS: readonly Section[] = [
  {
    key: 'piece',
    name: 'Piece',
    body: PieceSection,
    paths: ['piece'],
    says: (design, _worked, unit) =>
      `${KIND_NAMES[design.piece.kind]}, ${short(design, unit)}${design.piece.irreplaceable ? ', original' : ''}`,
  },
  {
    key: 'mat',
    name: 'Mat',
    body: MatSection,
    paths: ['window', 'mats', 'border'],
    says: (design, worked) =>
      `${worked?.resolved.mats.map((mat) => mat.name.split(',')[0]).join(' over ') ?? ''}${design.border.mode === 'weighted' ? ', heavier below' : ''}`,
  },
  {
    key: 'frame',
    name: 'Frame',
    body: FrameSection,
    paths: ['frame'],
    says: (_design, worked, unit) =>
      worked
        ? `${worked.resolved.moulding.name}, ${formatLength(worked.resolved.moulding.faceWidth, unit)} wide`
        : 'Choose a moulding',
  },
  {
    key: 'glass',
    name: 'Glass',
    body: GlassSection,
    paths: ['glazing'],
    says: (_design, worked) => worked?.resolved.glazing.name ?? '',
  },
  {
    key: 'back',
    name: 'Back and hang',
    body: BackSection,
    paths: ['backing', 'hanging'],
    says: (design, worked) =>
      `${worked?.resolved.backing.name ?? ''}, ${design.hanging.rings === 'none' ? 'no wire' : 'rings and wire'}`,
  },
  {
    key: 'insists',
    name: 'Insists on',
    body: InsistsSection,
    paths: ['insists'],
    says: (design) => design.insists || 'Nothing yet',
  },
];

export const Choices = memo(function Choices({
  open,
  onOpen,
  ...props
}: SectionProps & { open: number; onOpen: (index: number) => void }) {
  return (
    <ol className={styles.choices} data-fields>
      {SECTIONS.map((section, index) => (
        <li key={section.key} data-open={index === open}>
          <button type="button" className={styles.head} aria-expanded={index === open} onClick={() => onOpen(index)}>
            <span className={styles.number}>{index + 1}</span>
            <span>
              <b>{section.name}</b>
              {index !== open && (
                <span className={styles.says}>
                  <FractionText
                    text={
                      section.key === 'piece' && props.piece.typed['piece.width'] === ''
                        ? 'Not measured yet'
                        : section.says(props.piece.design, props.worked, props.unit)
                    }
                  />
                </span>
              )}
            </span>
          </button>
          {index === open && <div className={styles.body}>{section.body(props)}</div>}
        </li>
      ))}
    </ol>
  );
});
