'use client';
/** What can be chosen in each section of the desk. */
import Button from '@mui/material/Button';
import type { ShopView } from '@/contract/views';
import { PIECE_KINDS } from '@/core/design/design';
import { defaultSettings } from '@/core/settings';
import { type Unit, length } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { Len } from '@/ui/figures';
import { KIND_NAMES } from '@/words/materials';
import type { DraftPiece } from './draft';
import styles from './desk.module.css';
import { Choose, Measure, TextField, Toggle } from './inputs';
import { MouldingChoice } from './moulding-choice';
import type { Desk } from './use-desk';

export interface SectionProps {
  readonly shop: ShopView;
  readonly piece: DraftPiece;
  readonly worked: WorkedOut | undefined;
  readonly unit: Unit;
  readonly desk: Pick<Desk, 'type' | 'commit' | 'put'>;
}

const codeOf = (choice: { code: string } | { given: { code: string } }) =>
  'code' in choice ? choice.code : choice.given.code;

export function PieceSection({ piece, unit, desk }: SectionProps) {
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

export function MatSection({ shop, piece, worked, unit, desk }: SectionProps) {
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

export function FrameSection({ shop, piece, unit, desk }: SectionProps) {
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

export function GlassSection({ shop, piece, desk }: SectionProps) {
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

export function BackSection({ shop, piece, worked, unit, desk }: SectionProps) {
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

export function InsistsSection({ piece, desk }: SectionProps) {
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
