'use client';
/** What one build asks beyond the rest: its fields, as its folder declares them. */
import dynamic from 'next/dynamic';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { BUILDS } from '@/core/builds';
import { withInside } from '@/core/design/with-build';
import { type Field, askedOf, usualOf } from '@/core/builds/fields';
import { fieldText } from '@/core/units/format-length';
import type { Length, Sides, Unit } from '@/core/units/length';
import { parseLength } from '@/core/units/parse-length';
import { choiceName } from '@/words/builds';
import { fieldName } from '@/words/build-parts';
import styles from './desk.module.css';
import { Choose, Measure, TextField, Tick } from './inputs';
import { type SectionProps, codeOf } from './section-props';
import { BUILD_FIELDS, SECTION } from '@/words/screens/desk-sections';
import { patient } from '@/ui/patient';

const Sentences = dynamic(() => patient(() => import('@/ui/sentences')).then((file) => file.Sentences), {
  loading: () => null,
});

const SEAT = [
  [BUILD_FIELDS.insideWidthTop, 'top'],
  [BUILD_FIELDS.insideWidthBottom, 'bottom'],
  [BUILD_FIELDS.insideHeightLeft, 'left'],
  [BUILD_FIELDS.insideHeightRight, 'right'],
] as const;

/** Several lengths in one field, with commas between them; taken when all of them can be read. */
function Lengths({
  label,
  name,
  value,
  unit,
  onChange,
}: {
  label: string;
  name: string;
  value: readonly Length[];
  unit: Unit;
  onChange: (value: readonly Length[]) => void;
}) {
  const [text, setText] = useState(value.map((measure) => fieldText(measure, unit)).join(', '));
  const read = text
    .split(',')
    .filter((part) => part.trim())
    .map((part) => parseLength(part, { unit }));
  const wrong = read.find((outcome) => !outcome.ok);
  return (
    <div>
      <TextField
        label={label}
        name={name}
        value={text}
        most={300}
        onChange={(to) => {
          setText(to);
          const parts = to.split(',').filter((part) => part.trim());
          const all = parts.map((part) => parseLength(part, { unit }));
          if (all.every((outcome) => outcome.ok)) onChange(all.map((one) => one.value));
        }}
      />
      <div className={styles.aside}>
        {wrong && !wrong.ok ? <Sentences issues={wrong.issues} /> : BUILD_FIELDS.collarSidesCuffsHem}
      </div>
    </div>
  );
}

function OneField({ name, field, piece, unit, desk, shop }: SectionProps & { name: string; field: Field }) {
  const { own } = piece.design;
  const put = (value: unknown) => desk.put(['own'], { ...own, [name]: value });
  const usual = usualOf(field, shop.homeUnit);
  const value = own?.[name] ?? usual;
  switch (field.kind) {
    case 'length':
      return (
        <Measure
          label={fieldName(name)}
          path={['own', name]}
          usual={usual as Length | undefined}
          hint={usual === undefined ? BUILD_FIELDS.mayStayEmpty : ''}
          piece={piece}
          unit={unit}
          desk={desk}
        />
      );
    case 'flag':
      return <Tick label={fieldName(name)} checked={value as boolean} onChange={put} />;
    case 'choice':
      return (
        <Choose
          label={fieldName(name)}
          name={`own.${name}`}
          value={value as string}
          options={field.of.map((code) => ({ code, name: choiceName(code) }))}
          onChange={put}
        />
      );
    case 'lengths':
      return (
        <Lengths label={fieldName(name)} name={`own.${name}`} value={value as Length[]} unit={unit} onChange={put} />
      );
    case 'sides':
      return (
        <Seat name={name} seat={own?.[name] as Sides | undefined} piece={piece} unit={unit} desk={desk} shop={shop} />
      );
    case 'size':
      return null;
  }
}

/** A frame the customer brings, measured inside at both ends. */
function Seat({
  name,
  seat,
  piece,
  unit,
  desk,
}: Omit<SectionProps, 'worked'> & { name: string; seat: Sides | undefined }) {
  const { width, height } = piece.design.piece;
  if (!seat)
    return (
      <Button
        variant="text"
        onClick={() =>
          desk.put(['own'], { ...piece.design.own, [name]: { top: width, bottom: width, left: height, right: height } })
        }
      >
        {BUILD_FIELDS.measureTheRabbetOf}
      </Button>
    );
  return (
    <div className={styles.pair}>
      {SEAT.map(([label, side]) => (
        <Measure key={side} label={label} path={['own', name, side]} piece={piece} unit={unit} desk={desk} />
      ))}
    </div>
  );
}

/** Short fields two in a row, the others each in their own. */
export function BuildFields(props: Omit<SectionProps, 'worked'>) {
  const { design } = props.piece;
  const fields = askedOf(BUILDS[design.build].fields, design, props.shop.homeUnit);
  const lengths = fields.filter(([, field]) => field.kind === 'length');
  const others = fields.filter(([, field]) => field.kind !== 'length');
  const show = ([name, field]: (typeof fields)[number]) => (
    <OneField key={name} name={name} field={field} worked={undefined} {...props} />
  );
  return (
    <>
      {others.map(show)}
      {lengths.length > 0 && <div className={styles.pair}>{lengths.map(show)}</div>}
      <Boards {...props} />
    </>
  );
}

/** The boards that the build brings, chosen where it is chosen. */
function Boards({ shop: { lists, defaults }, piece: { design }, desk }: Omit<SectionProps, 'worked'>) {
  const { brings } = BUILDS[design.build];
  const { innerBoard, sideBoard } = withInside(design, defaults);
  const boards = [...lists.mats, ...lists.backings];
  return (
    <>
      {brings && (
        <Choose
          label={SECTION.mountBoard[design.build] ?? SECTION.mountBoardBehindIt}
          name="mountBoard"
          value={design.mountBoard ? codeOf(design.mountBoard) : ''}
          options={boards}
          onChange={(code) => desk.put(['mountBoard'], { code })}
        />
      )}
      {innerBoard && (
        <Choose
          label={SECTION.innerBoard[design.build] ?? SECTION.patches}
          name="innerBoard"
          value={codeOf(innerBoard)}
          options={boards}
          onChange={(code) => desk.put(['innerBoard'], { code })}
        />
      )}
      {sideBoard && (
        <Choose
          label={SECTION.sideBoard}
          name="sideBoard"
          value={codeOf(sideBoard)}
          options={lists.mats}
          onChange={(code) => desk.put(['sideBoard'], { code })}
        />
      )}
    </>
  );
}
