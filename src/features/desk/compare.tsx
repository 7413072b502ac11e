'use client';
/** Up to four designs of one piece side by side, at one scale and on one eye line, each with its price. Only one is chosen. */
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import dynamic from 'next/dynamic';
import { memo, useCallback, useEffect, useMemo, useState } from 'react';
import type { ShopView } from '@/contract/views';
import {
  type Letter,
  MOST_COMPARED,
  compared,
  copied,
  chosen,
  declined,
  kept,
  letterOf,
  roomFor,
  takenBack,
  withMore,
  without,
} from '@/core/design/candidates';
import { frontScene } from '@/core/drawing/front';
import type { WorkedOut } from '@/core/work-out';
import { Cash, FractionText, SizeText } from '@/ui/figures';
import { isTyping } from '@/ui/keys';
import { FlatScene } from '@/ui/flat-scene';
import { useBox } from '@/ui/scene-svg';
import { useUnit } from '@/ui/units';
import { buildName } from '@/words/builds';
import { sayCaution } from '@/words/issues/say-caution';
import { dayName } from '@/words/materials';
import { ADVICE } from '@/words/screens/advice';
import { COMPARE } from '@/words/screens/compare';
import styles from './compare.module.css';
import { piecePanel } from './piece-tabs';
import type { Desk } from './use-desk';
import type { Shown } from './workbench';
import { patient } from '@/ui/patient';

const AdviceDialog = dynamic(() => patient(() => import('./advice')).then((file) => file.AdviceDialog), {
  loading: () => null,
});
const Vary = dynamic(() => patient(() => import('./vary')).then((file) => file.Vary), { loading: () => null });

interface Candidate {
  readonly letter: Letter;
  readonly shown: Shown;
}
/** Each design with what it comes to; the one that is worked on is worked out already. */
function candidatesOf(desk: Desk): Candidate[] {
  const { piece, active, shown, work } = desk;
  return compared(piece).map(({ letter, design }) => ({
    letter,
    shown: letter === letterOf(piece) ? shown[active]! : work({ id: `${piece.id}:${letter}`, design, typed: {} }),
  }));
}

const WALL = { side: 44, above: 40 } as const;

interface WallProps {
  readonly candidates: readonly Candidate[];
  readonly chosenLetter: Letter;
  readonly photos: readonly string[] | undefined;
  readonly onChoose: (letter: Letter) => void;
}
/** The frames on the wall: as large against each other as they are, their middles at one height. */
function Wall({ candidates, chosenLetter, photos, onChoose }: WallProps) {
  const [ref, box] = useBox<HTMLDivElement>();
  const scenes = useMemo(
    () => candidates.map(({ shown }) => shown.worked && frontScene(shown.worked, false, photos)),
    [candidates, photos],
  );
  const cell = { w: box.width / candidates.length - WALL.side, h: box.height - WALL.above };
  const largest = (of: 'width' | 'height') => Math.max(1, ...scenes.map((scene) => scene?.[of] ?? 1));
  const scale = Math.max(0, Math.min(cell.w / largest('width'), cell.h / largest('height')));
  return (
    <div ref={ref} className={styles.wall}>
      {box.width > 0 &&
        candidates.map(({ letter }, index) => {
          const scene = scenes[index];
          return (
            <ButtonBase
              key={letter}
              className={styles.frame ?? ''}
              aria-pressed={letter === chosenLetter}
              aria-label={COMPARE.work(letter)}
              onClick={() => onChoose(letter)}
            >
              {scene && (
                <span style={{ transform: `translateY(${((scene.height / 2 - scene.middle!) * scale).toFixed(1)}px)` }}>
                  <FlatScene scene={scene} scale={scale} label={COMPARE.picture(letter)} name={`candidate-${letter}`} />
                </span>
              )}
            </ButtonBase>
          );
        })}
    </div>
  );
}

const boards = ({ resolved: { mats } }: WorkedOut) =>
  mats.length === 0 ? COMPARE.noMat : mats.map((mat) => mat.name.split(',')[0]).join(COMPARE.over);

type Act = 'keep' | 'vary' | 'open' | 'remove';
interface ActsProps {
  readonly letter: Letter;
  readonly active: boolean;
  readonly only: boolean;
  readonly onAct: (act: Act, letter: Letter) => void;
}
/** What can be done with a design; the same however its figures change. */
const Acts = memo(function Acts({ letter, active, only, onAct }: ActsProps) {
  return (
    <p className={styles.acts}>
      {!only && (
        <Button variant={active ? 'contained' : 'text'} onClick={() => onAct('keep', letter)}>
          {active ? COMPARE.keepOf(letter) : COMPARE.keep}
        </Button>
      )}
      <Button variant="text" onClick={() => onAct('vary', letter)}>
        {COMPARE.vary}
      </Button>
      <Button variant="text" onClick={() => onAct('open', letter)}>
        {COMPARE.open}
      </Button>
      {!only && (
        <Button variant="text" onClick={() => onAct('remove', letter)}>
          {COMPARE.remove}
        </Button>
      )}
    </p>
  );
});

interface ColumnProps extends ActsProps {
  readonly shown: Shown;
  readonly promised: string;
}
function Column({ shown, promised, ...acts }: ColumnProps) {
  const { letter, active } = acts;
  const { unit } = useUnit();
  const { worked, issues } = shown;
  const price = worked?.price;
  const caution = worked?.cautions.find(({ level }) => level !== 'advise');
  return (
    <li className={styles.column} data-active={active}>
      <h3>
        <b>{letter}</b> {worked && buildName(worked.resolved.design.build)}
      </h3>
      {worked && issues.length === 0 ? (
        <>
          <p className={styles.price}>
            <b>{price && price.missing.length === 0 ? <Cash value={price.price} /> : COMPARE.noPrice}</b>
            <span className="soft">
              <SizeText of={worked.sizes.outside ?? worked.sizes.package} />
            </span>
          </p>
          <p className={styles.made}>
            {worked.resolved.moulding.name} · {boards(worked)} · {worked.resolved.glazing.name}
          </p>
          <p className={styles.day}>{dayName(promised)}</p>
          {caution && (
            <p className={styles.caution} data-level={caution.level}>
              <FractionText text={sayCaution(caution.code, caution.figures, unit)} />
            </p>
          )}
        </>
      ) : (
        <p className={styles.caution} data-level="refuse">
          {COMPARE.cannot}
        </p>
      )}
      <Acts {...acts} />
    </li>
  );
}

function Declined({ desk }: { desk: Desk }) {
  const { piece, choosing, work } = desk;
  const gone = declined(piece);
  if (gone.length === 0) return null;
  return (
    <p className={styles.declined}>
      <b>{COMPARE.declined}</b>
      {gone.map(({ letter, design }) => {
        const { worked } = work({ id: `${piece.id}:${letter}`, design, typed: {} });
        return (
          <span key={letter}>
            {letter} {worked && <span className="soft">{worked.resolved.moulding.name}</span>}{' '}
            {worked?.price ? <Cash value={worked.price.price} /> : COMPARE.noPrice}{' '}
            <Button
              variant="text"
              disabled={compared(piece).length >= MOST_COMPARED}
              onClick={() => choosing((one) => takenBack(one, letter))}
            >
              {COMPARE.takeBack(letter)}
            </Button>
          </span>
        );
      })}
    </p>
  );
}

interface BarProps {
  readonly count: number;
  readonly full: boolean;
  readonly onCopy: () => void;
  readonly onVary: () => void;
  readonly onAdvise: () => void;
  readonly onClose: () => void;
}
const Bar = memo(function Bar({ count, full, onCopy, onVary, onAdvise, onClose }: BarProps) {
  return (
    <div className={styles.bar}>
      <h2>{COMPARE.head}</h2>
      <span className="soft">{count === 1 ? COMPARE.one : COMPARE.scale}</span>
      <Button variant="outlined" disabled={full} onClick={onCopy} title={full ? COMPARE.full : ''}>
        {COMPARE.copy} <kbd>{COMPARE.copyKey}</kbd>
      </Button>
      <Button variant="outlined" disabled={full} onClick={onVary}>
        {COMPARE.vary} <kbd>{COMPARE.varyKey}</kbd>
      </Button>
      <Button variant="outlined" onClick={onAdvise}>
        {ADVICE.open} <kbd>{ADVICE.openKey}</kbd>
      </Button>
      <Button variant="text" onClick={onClose}>
        {COMPARE.close} <kbd>c</kbd>
      </Button>
    </div>
  );
});

interface Props {
  readonly desk: Desk;
  readonly shop: ShopView;
  readonly photos: readonly string[] | undefined;
  readonly onClose: () => void;
}

export function Compare({ desk, shop, photos, onClose }: Props) {
  const { piece, choosing, draft } = desk;
  const [varying, setVarying] = useState(false);
  const [advising, setAdvising] = useState(false);
  const candidates = candidatesOf(desk);
  const letters = candidates.map(({ letter }) => letter);
  const at = letterOf(piece);
  const room = roomFor(piece);
  const copy = useCallback(() => choosing(copied), [choosing]);
  const vary = useCallback(() => setVarying(true), []);
  const advise = useCallback(() => setAdvising(true), []);
  const act = useCallback(
    (what: Act, letter: Letter) => {
      if (what === 'remove') return choosing((one) => without(one, letter));
      choosing((one) => (what === 'keep' ? kept(chosen(one, letter)) : chosen(one, letter)));
      if (what === 'vary') setVarying(true);
      if (what === 'open') onClose();
    },
    [choosing, onClose],
  );
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
      if (document.querySelector('[role=dialog]')) return;
      const step = (by: number) => {
        const next = letters[(letters.indexOf(at) + by + letters.length) % letters.length]!;
        choosing((one) => chosen(one, next));
      };
      const acts: Readonly<Record<string, () => void>> = {
        '+': () => choosing(copied),
        '=': () => choosing(copied),
        v: () => setVarying(true),
        a: () => setAdvising(true),
        k: () => choosing(kept),
        ArrowRight: () => step(1),
        ArrowLeft: () => step(-1),
        Delete: () => choosing((one) => without(one, at)),
      };
      const act = acts[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, [choosing, letters, at]);
  return (
    <section className={styles.compare} {...piecePanel(draft.pieces.length, desk.active)} aria-label={COMPARE.head}>
      <Bar count={letters.length} full={room === 0} onCopy={copy} onVary={vary} onAdvise={advise} onClose={onClose} />
      <Wall
        candidates={candidates}
        chosenLetter={at}
        photos={photos}
        onChoose={(letter) => choosing((one) => chosen(one, letter))}
      />
      <ol className={styles.columns} style={{ gridTemplateColumns: `repeat(${letters.length}, minmax(0, 1fr))` }}>
        {candidates.map(({ letter, shown }) => (
          <Column
            key={letter}
            letter={letter}
            shown={shown}
            active={letter === at}
            only={letters.length === 1}
            promised={draft.promised}
            onAct={act}
          />
        ))}
      </ol>
      <Declined desk={desk} />
      {advising && <AdviceDialog desk={desk} shop={shop} photo={photos?.[0]} onClose={() => setAdvising(false)} />}
      {varying && (
        <Vary
          shop={shop}
          piece={piece}
          onClose={() => setVarying(false)}
          onMake={(designs) => {
            choosing((one) => withMore(one, designs));
            setVarying(false);
          }}
        />
      )}
    </section>
  );
}
