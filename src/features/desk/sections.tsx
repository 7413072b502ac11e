'use client';
/** Glazing, back and hanging, and what the customer insists on. */
import { useState } from 'react';
import styles from './desk.module.css';
import type { Panel } from '@/core/builds/build';
import { BUILDS, mountOf, mountsFor } from '@/core/builds';
import { FITTINGS, HANGING_LINES, PLACES, SCOPES } from '@/core/design/choices';
import { scoped } from '@/core/jobs/scope';
import { defaultSettings } from '@/core/settings';
import { length } from '@/core/units/length';
import { mountName } from '@/words/mounts';
import { buildName } from '@/words/builds';
import { matterName, placeName, practiceName, scopeName } from '@/words/build-parts';
import { MATTERS, PRACTICES } from '@/core/parts/practice';
import { Choose, FromList, Measure, TextField, Toggle } from './inputs';
import { type SectionProps, codeOf } from './section-props';
import { BUILD_FIELDS, SECTION } from '@/words/screens/desk-sections';

export function GlassSection({ shop, piece, desk }: SectionProps) {
  if (!BUILDS[piece.design.build].uses.includes('glazing'))
    return <p className={styles.aside}>{SECTION.nothingToGlaze(buildName(piece.design.build))}</p>;
  const { glazing, backPane, build } = piece.design;
  return (
    <>
      <Choose
        label={SECTION.glazing}
        name="glazing"
        value={codeOf(glazing)}
        options={shop.lists.glazings}
        onChange={(code) => desk.put(['glazing'], { code })}
      />
      {BUILDS[build].uses.includes('backPane') && (
        <FromList
          label={SECTION.backPane}
          none={SECTION.asInFront}
          value={backPane && codeOf(backPane)}
          options={shop.lists.glazings}
          onChange={(code) => desk.put(['backPane'], code && { code })}
        />
      )}
    </>
  );
}

/** What it hangs by, and where; asked only where hangers are supplied. */
function HangingFields({ piece, worked, unit, desk }: Pick<SectionProps, 'piece' | 'worked' | 'unit' | 'desk'>) {
  const { hanging } = piece.design;
  const { rings } = hanging;
  const mode = typeof rings === 'object' ? ('fraction' in rings ? 'fraction' : 'distance') : rings;
  const setRings = (to: 'third' | 'quarter' | 'none' | 'distance' | 'fraction') =>
    desk.put(
      ['hanging', 'rings'],
      to === 'distance'
        ? { distance: worked?.hanging?.ringDrop ?? length(8128 * 4) }
        : to === 'fraction'
          ? { fraction: [2, 5] }
          : to,
    );
  return (
    <>
      <Toggle
        label={SECTION.hangsBy}
        value={hanging.by ?? 'wire'}
        options={[
          ['wire', SECTION.wire],
          ['hooks', SECTION.twoHooks],
          ['sawtooth', SECTION.sawtooth],
        ]}
        onChange={(by) => desk.put(['hanging', 'by'], by === 'wire' ? undefined : by)}
      />
      {mode !== 'none' && hanging.by !== 'sawtooth' && (
        <Choose
          label={SECTION.fitting}
          name="fitting"
          value={hanging.fitting ?? 'd-ring'}
          options={FITTINGS.map((code) => ({ code, name: SECTION.fittings[code] }))}
          onChange={(fitting) => desk.put(['hanging', 'fitting'], fitting === 'd-ring' ? undefined : fitting)}
        />
      )}
      {mode !== 'none' && (hanging.by ?? 'wire') === 'wire' && (
        <Choose
          label={SECTION.line}
          name="line"
          value={hanging.line ?? 'wire'}
          options={HANGING_LINES.map((code) => ({ code, name: SECTION.lines[code] }))}
          onChange={(line) => desk.put(['hanging', 'line'], line === 'wire' ? undefined : line)}
        />
      )}
      <p className={styles.aside}>{SECTION.ringsBelowTheTop}</p>
      <Toggle
        label={SECTION.ringsBelowTheTop}
        value={mode}
        options={[
          ['third', SECTION.aThird],
          ['quarter', SECTION.aQuarter],
          ['fraction', SECTION.aFraction],
          ['distance', SECTION.set],
          ['none', SECTION.noWire],
        ]}
        onChange={setRings}
      />{' '}
      {typeof rings === 'object' && 'fraction' in rings && (
        <Fraction value={rings.fraction} onChange={(fraction) => desk.put(['hanging', 'rings'], { fraction })} />
      )}
      {mode === 'distance' && (
        <Measure
          label={SECTION.ringsBelowTheTop}
          path={['hanging', 'rings', 'distance']}
          piece={piece}
          unit={unit}
          desk={desk}
        />
      )}
      {mode !== 'none' && (
        <Choose
          label={SECTION.slackInTheWire}
          name="slack"
          value={hanging.slack}
          options={['0.01', '0.02', '0.05', '0.1', '0.15'].map((code) => ({
            code,
            name: `${Math.round(Number(code) * 100)} %`,
          }))}
          onChange={(slack) => desk.put(['hanging', 'slack'], slack)}
        />
      )}
      {mode !== 'none' && (
        <Measure
          label={SECTION.plate}
          path={['hanging', 'plate']}
          hint={BUILD_FIELDS.mayStayEmpty}
          piece={piece}
          unit={unit}
          desk={desk}
        />
      )}
    </>
  );
}

export function BackSection({ shop, piece, worked, unit, desk }: SectionProps) {
  const uses = (part: Panel) => BUILDS[piece.design.build].uses.includes(part);
  return (
    <>
      {uses('backing') && (
        <Choose
          label={SECTION.backing}
          name="backing"
          value={codeOf(piece.design.backing)}
          options={shop.lists.backings}
          onChange={(code) => desk.put(['backing'], { code })}
        />
      )}
      {uses('mountBoard') && !BUILDS[piece.design.build].brings && (
        <FromList
          label={SECTION.mountBoardBehindIt}
          none={SECTION.noMountBoard}
          value={piece.design.mountBoard && codeOf(piece.design.mountBoard)}
          options={[...shop.lists.mats, ...shop.lists.backings]}
          onChange={(code) => desk.put(['mountBoard'], code && { code })}
        />
      )}
      {uses('backing') && <Filler shop={shop} piece={piece} desk={desk} />}
      {uses('mount') && (
        <Choose
          label={SECTION.heldBy}
          name="mount"
          value={mountOf(piece.design)}
          options={mountsFor(piece.design.piece.kind, mountOf(piece.design)).map((code) => ({
            code,
            name: mountName(code),
          }))}
          onChange={(mount) => desk.put(['mount'], mount)}
        />
      )}
      <Choose
        label={SECTION.suppliedAs}
        name="scope"
        value={piece.design.scope ?? 'ready to hang'}
        options={SCOPES.map((code) => ({ code, name: scopeName(code) }))}
        onChange={(scope) => desk.put(['scope'], scope)}
      />
      {scoped(piece.design.scope, piece.design.build).hung && (
        <HangingFields piece={piece} worked={worked} unit={unit} desk={desk} />
      )}
      <FromList
        label={SECTION.hangsWhere}
        none={SECTION.notSaid}
        value={piece.design.place}
        options={PLACES.map((code) => ({ code, name: placeName(code) }))}
        onChange={(place) => desk.put(['place'], place)}
      />
      <Practices shop={shop} piece={piece} desk={desk} />
    </>
  );
}

/** A board that fills spare depth, and how many of it. */
function Filler({ shop, piece, desk }: Pick<SectionProps, 'shop' | 'piece' | 'desk'>) {
  const { filler, fillerCount = 1 } = piece.design;
  return (
    <>
      <FromList
        label={SECTION.filler}
        none={SECTION.noFiller}
        value={filler && codeOf(filler)}
        options={shop.lists.backings}
        onChange={(code) => desk.put(['filler'], code && { code })}
      />
      {filler && (
        <Choose
          label={SECTION.fillerCount}
          name="fillerCount"
          value={String(fillerCount)}
          options={Array.from({ length: 9 }, (_, index) => ({ code: String(index + 1), name: String(index + 1) }))}
          onChange={(count) => desk.put(['fillerCount'], Number(count) > 1 ? Number(count) : undefined)}
        />
      )}
    </>
  );
}

/** A fraction of the height, typed as one writes it; taken when it is one. */
function Fraction({
  value: [part, whole],
  onChange,
}: {
  value: readonly [number, number];
  onChange: (fraction: [number, number]) => void;
}) {
  const [text, setText] = useState(`${part}/${whole}`);
  return (
    <TextField
      label={SECTION.fractionOfHeight}
      name="hanging.rings.fraction"
      value={text}
      most={8}
      onChange={(to) => {
        setText(to);
        const [, above = '', below = ''] = /^\s*(\d{1,2})\s*\/\s*(\d{1,3})\s*$/.exec(to) ?? [];
        if (Number(above) > 0 && Number(above) < Number(below) && Number(below) <= 100)
          onChange([Number(above), Number(below)]);
      }}
    />
  );
}

/** Where this job is done another way than the shop's. */
function Practices({ shop, piece, desk }: Pick<SectionProps, 'shop' | 'piece' | 'desk'>) {
  const usual = defaultSettings(shop.homeUnit).practice;
  const { practice } = piece.design;
  return (
    <details className={styles.more}>
      <summary>{SECTION.doneAnotherWay}</summary>
      {MATTERS.map((matter) => (
        <Choose
          key={matter}
          label={matterName(matter)}
          name={`practice.${matter}`}
          value={practice?.[matter] ?? usual[matter]}
          options={PRACTICES[matter].map((code) => ({ code, name: practiceName(code) }))}
          onChange={(to) => desk.put(['practice'], { ...practice, [matter]: to })}
        />
      ))}
    </details>
  );
}

export function InsistsSection({ piece, desk }: SectionProps) {
  return (
    <TextField
      label={SECTION.whatMustNotBe}
      name="insists"
      value={piece.design.insists}
      most={400}
      onChange={(text) => desk.put(['insists'], text, true)}
    />
  );
}
