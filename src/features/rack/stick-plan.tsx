'use client';
/** Sticks as they are cut: each to scale, its stops in order with running positions, what is left. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { PlannedBar, SticksPlan, SticksRequest } from '@/core/cutting/request';
import { lengthOf } from '@/core/cutting/plan-figures';
import { stickScene } from '@/core/drawing/cuts';
import { Len } from '@/ui/figures';
import { SceneSvg, useBox } from '@/ui/scene-svg';
import { useUnit } from '@/ui/units';
import { formatLength } from '@/core/units/format-length';
import { PLAN } from '@/words/screens/rack';
import styles from './rack.module.css';

/** Height of a stick in the drawing, as a share of the longest: they lie long and thin. */
const THIN = 0.028;

interface Props {
  readonly request: SticksRequest;
  readonly plan: SticksPlan;
  readonly name: (code: string) => string;
  /** Sticks that stay as they are when the rest is planned again, by their place in the plan. */
  readonly locked: ReadonlySet<number>;
  readonly onLock: (bar: number) => void;
  readonly onMove: (leg: string, bar: number) => void;
}

/** Equal legs behind one another are one setting of the stop. */
function stops(bar: PlannedBar, lengths: ReadonlyMap<string, number>) {
  const list: { length: number; legs: string[]; ends: number[] }[] = [];
  for (const { leg, at: index } of bar.pieces) {
    const long = lengths.get(leg)!;
    const last = list.at(-1);
    if (last?.length === long) {
      last.legs.push(leg);
      last.ends.push(index + long);
    } else list.push({ length: long, legs: [leg], ends: [index + long] });
  }
  return list;
}

function Stick({ bar, index, width, props }: { bar: PlannedBar; index: number; width: number; props: Props & Chosen }) {
  const { request, locked, onLock, onMove, chosen, onChoose } = props;
  const { unit } = useUnit();
  const profile = request.profiles.find((profile) => profile.id === bar.profile)!;
  const rack = profile.rack.find((one) => one.id === bar.source);
  const length = rack?.length ?? profile.stock[0]!.length;
  const lengths = new Map(request.frames.flatMap((frame) => frame.legs.map((leg) => [leg.id, leg.length] as const)));
  const longest = Math.max(...profile.stock.map((one) => one.length), ...profile.rack.map((one) => one.length));
  const scene = stickScene(
    bar,
    {
      length,
      noGo: rack?.noGo ?? [],
      lengthOf: (leg) => lengths.get(leg)!,
      labelOf: (leg) => formatLength(lengthOf(lengths.get(leg)!), unit),
      keptLabel: bar.offcut > 0 ? formatLength(lengthOf(bar.offcut), unit) : '',
    },
    longest * THIN,
  );
  const target = chosen && !bar.pieces.some(({ leg }) => leg === chosen.leg) && chosen.profile === bar.profile;
  return (
    <li className={styles.stick} data-locked={locked.has(index)}>
      <div className={styles.stickHead}>
        <b>{rack ? rack.id : PLAN.newStick}</b>
        <Len value={lengthOf(length)} />
        {rack?.batch && <span className="soft">{PLAN.batch(rack.batch)}</span>}
        <span className={styles.grow} />
        <span className="soft">
          {bar.offcut > 0 ? (
            <>
              {PLAN.keep} <Len value={lengthOf(bar.offcut)} />
            </>
          ) : (
            PLAN.nothingKept
          )}
        </span>
        <Button
          variant="text"
          aria-pressed={locked.has(index)}
          className={styles.lock ?? ''}
          onClick={() => onLock(index)}
        >
          {locked.has(index) ? PLAN.stays : PLAN.keepAsIs}
        </Button>
        {target && (
          <Button variant="text" className={styles.here ?? ''} onClick={() => onMove(chosen.leg, index)}>
            {PLAN.moveHere(chosen.leg)}
          </Button>
        )}
      </div>
      <SceneSvg
        scene={scene}
        width={(width * length) / longest}
        height={60}
        letters={13}
        label={PLAN.stickLabel(rack?.id, bar.pieces.length)}
      />
      <ol className={styles.stops}>
        {stops(bar, lengths).map((stop) => (
          <li key={stop.legs[0]}>
            <b>
              <Len value={lengthOf(stop.length)} fine />
            </b>
            {stop.legs.map((leg, index) => (
              <Button
                key={leg}
                variant="text"
                aria-pressed={chosen?.leg === leg}
                title={PLAN.pickUp}
                onClick={() => onChoose(chosen?.leg === leg ? undefined : { leg, profile: bar.profile })}
              >
                <span>
                  {leg} <span className="soft">{PLAN.to} </span>
                  <Len value={lengthOf(stop.ends[index]!)} />
                </span>
              </Button>
            ))}
          </li>
        ))}
      </ol>
    </li>
  );
}

interface Chosen {
  readonly chosen: { readonly leg: string; readonly profile: string } | undefined;
  readonly onChoose: (chosen: Chosen['chosen']) => void;
}

export function StickPlan(props: Props) {
  const { request, plan, name } = props;
  const [chosen, onChoose] = useState<Chosen['chosen']>();
  const [box, { width }] = useBox<HTMLDivElement>();
  const all = {
    ...props,
    chosen,
    onChoose,
    onMove: (leg: string, bar: number) => {
      props.onMove(leg, bar);
      onChoose(undefined);
    },
  };
  return (
    <div ref={box} className={styles.planBody}>
      {request.profiles.map((profile) => {
        const bars = plan.bars.flatMap((bar, index) => (bar.profile === profile.id ? [{ bar, index }] : []));
        if (bars.length === 0) return null;
        return (
          <section key={profile.id}>
            <h2>
              {name(profile.id)} <span className="soft">{PLAN.profileLine(profile.id, bars.length)}</span>
            </h2>
            <ul>
              {bars.map(({ bar, index }) => (
                <Stick
                  key={`${bar.source} ${index}`}
                  bar={bar}
                  index={index}
                  width={Math.max(300, width - 2)}
                  props={all}
                />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
