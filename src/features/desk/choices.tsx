'use client';
/** The choices in the order the talk goes. One section is open; the others say in a line what was chosen. */
import ButtonBase from '@mui/material/ButtonBase';
import dynamic from 'next/dynamic';
import { type ReactNode, memo, useContext, useEffect } from 'react';
import { BUILDS } from '@/core/builds';
import type { Design } from '@/core/design/design';
import { scoped } from '@/core/jobs/scope';
import { formatLength } from '@/core/units/format-length';
import type { Unit } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { FractionText } from '@/ui/figures';
import { patient } from '@/ui/patient';
import { buildName } from '@/words/builds';
import { KIND_NAMES, hangingText } from '@/words/materials';
import styles from './desk.module.css';
import { RefusedAt } from './refused-at';
import { PieceSection } from './piece-section';
import type { SectionProps } from './section-props';
import { CHOICES } from '@/words/screens/desk';

const later = () => patient(() => import('./later-sections'));
// Each has a boundary of its own: without it the whole desk would be hidden while one section is fetched.
const MatSection = dynamic(() => later().then((file) => file.MatSection), { loading: () => null });
const FrameSection = dynamic(() => later().then((file) => file.FrameSection), { loading: () => null });
const GlassSection = dynamic(() => later().then((file) => file.GlassSection), { loading: () => null });
const BackSection = dynamic(() => later().then((file) => file.BackSection), { loading: () => null });
const ExtrasSection = dynamic(() => later().then((file) => file.ExtrasSection), { loading: () => null });
const InsistsSection = dynamic(() => later().then((file) => file.InsistsSection), { loading: () => null });
/** Fetched at the first touch, so that it is there before anybody opens it. */
function useLaterAtTouch(): void {
  useEffect(() => {
    const load = () => void later();
    const once = { once: true, capture: true } as const;
    window.addEventListener('pointerdown', load, once);
    window.addEventListener('keydown', load, once);
    return () => {
      window.removeEventListener('pointerdown', load, once);
      window.removeEventListener('keydown', load, once);
    };
  }, []);
}

interface Section {
  readonly key: string;
  readonly name: string;
  readonly body: (props: SectionProps) => ReactNode;
  readonly says: (design: Design, worked: WorkedOut | undefined, unit: Unit) => string;
  /** Beginnings of the paths whose cautions belong here. */
  readonly paths: readonly string[];
}
const supplies = ({ scope, build }: Design) => scoped(scope, build);
const short = (design: Design, unit: Unit) =>
  `${formatLength(design.piece.width, unit)} × ${formatLength(design.piece.height, unit)}`;
export const SECTIONS: readonly Section[] = [
  {
    key: 'piece',
    name: CHOICES.piece,
    body: PieceSection,
    paths: ['piece', 'own', 'value'],
    says: (design, _worked, unit) =>
      `${buildName(design.build)}: ${KIND_NAMES[design.piece.kind]?.toLowerCase()}, ${short(design, unit)}${design.piece.irreplaceable ? ', original' : ''}`,
  },
  {
    key: 'mat',
    name: CHOICES.mat,
    body: (props) => <MatSection {...props} />,
    paths: ['window', 'mats', 'border', 'several', 'spacer', 'fillet'],
    says: (design, worked) =>
      design.mats.length === 0
        ? CHOICES.noMat
        : `${worked?.resolved.mats.map((mat) => mat.name.split(',')[0]).join(' over ') ?? ''}${design.border.mode === 'weighted' ? CHOICES.heavierBelow : ''}`,
  },
  {
    key: 'frame',
    name: CHOICES.frame,
    body: (props) => <FrameSection {...props} />,
    paths: ['frame', 'finish'],
    says: (design, worked, unit) =>
      BUILDS[design.build].frameless
        ? CHOICES.none
        : !supplies(design).frame && !BUILDS[design.build].keepsFrame
          ? CHOICES.notSupplied
          : worked
            ? CHOICES.wide(worked.resolved.moulding.name, formatLength(worked.resolved.moulding.faceWidth, unit))
            : CHOICES.chooseAMoulding,
  },
  {
    key: 'glass',
    name: CHOICES.glass,
    body: (props) => <GlassSection {...props} />,
    paths: ['glazing', 'backPane'],
    says: (design, worked) =>
      !BUILDS[design.build].uses.includes('glazing')
        ? CHOICES.none
        : supplies(design).glazed
          ? (worked?.resolved.glazing.name ?? '')
          : CHOICES.notSupplied,
  },
  {
    key: 'back',
    name: CHOICES.backAndHang,
    body: (props) => <BackSection {...props} />,
    paths: ['backing', 'filler', 'hanging', 'mount', 'scope', 'place'],
    says: (design, worked) =>
      [
        BUILDS[design.build].uses.includes('backing') && worked?.resolved.backing.name,
        hangingText(worked?.hanging).toLowerCase(),
      ]
        .filter(Boolean)
        .join(', '),
  },
  {
    key: 'insists',
    name: CHOICES.insistsOn,
    body: (props) => <InsistsSection {...props} />,
    paths: ['insists'],
    says: (design) => design.insists || CHOICES.nothingYet,
  },
  {
    key: 'extras',
    name: CHOICES.extras,
    body: (props) => <ExtrasSection key={props.piece.id} {...props} />,
    paths: ['extras', 'count', 'rush'],
    says: ({ count = 1, extras = [], rush }) =>
      [count > 1 && CHOICES.alike(count), ...extras.map(({ name }) => name), rush && CHOICES.sooner]
        .filter(Boolean)
        .join(', ') || CHOICES.nothingYet,
  },
];

export const Choices = memo(function Choices({
  open,
  onOpen,
  ...props
}: SectionProps & { open: number; onOpen: (index: number) => void }) {
  useLaterAtTouch();
  const refused = useContext(RefusedAt);
  const isRefused = ({ paths }: (typeof SECTIONS)[number]) =>
    refused.some(({ path = '' }) => paths.some((start) => path === start || path.startsWith(`${start}.`)));
  return (
    <ol className={styles.choices} data-fields>
      {SECTIONS.map((section, index) => (
        <li key={section.key} data-open={index === open}>
          <ButtonBase
            className={styles.head ?? ''}
            aria-expanded={index === open}
            aria-keyshortcuts={`Alt+${index + 1}`}
            onClick={() => onOpen(index)}
          >
            <span className={styles.number}>{index + 1}</span>
            <span>
              <b>{section.name}</b>
              {index !== open && isRefused(section) && <em className={styles.refused}>{CHOICES.refused}</em>}
              {index !== open && (
                <span className={styles.says}>
                  <FractionText
                    text={
                      section.key === 'piece' && props.piece.typed['piece.width'] === ''
                        ? CHOICES.notMeasuredYet
                        : section.says(props.piece.design, props.worked, props.unit)
                    }
                  />
                </span>
              )}
            </span>
            <kbd aria-hidden="true">{CHOICES.key(index + 1)}</kbd>
          </ButtonBase>
          {index === open && <div className={styles.body}>{section.body(props)}</div>}
        </li>
      ))}
    </ol>
  );
});
