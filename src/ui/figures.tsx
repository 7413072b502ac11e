'use client';
/** Figures as a framer writes them: whole number, then a real fraction, the unit small and grey. */
import { Fragment, memo } from 'react';
import { FINEST, showLength } from '@/core/units/format-length';
import type { Length, Size, Unit } from '@/core/units/length';
import { type Money, formatMoney } from '@/core/units/money';
import { LENGTH_MARK } from '@/words/screens/frame';
import { useUnit } from './units';

interface LenProps {
  readonly value: Length;
  readonly unit?: Unit;
  /** Shown to the finest step instead of the usual one. */
  readonly fine?: boolean;
  readonly bare?: boolean;
  readonly step?: Length;
}

/** A length in the unit in force; a small mark when the exact length is a little more or less. */
export const Len = memo(function Len({ value, unit: fixed, fine, bare, step }: LenProps) {
  const { unit: inForce } = useUnit();
  const unit = fixed ?? inForce;
  const shown = showLength(value, unit, step ?? (fine ? FINEST[unit] : undefined));
  return (
    <span className="len">
      {shown.negative ? '−' : ''}
      {shown.whole}
      {shown.whole && shown.fraction ? <span className="gap"> </span> : null}
      {shown.fraction ? <span className="frac">{`${shown.fraction.top}/${shown.fraction.bottom}`}</span> : null}
      {shown.exactIs === 'exact' ? null : (
        <span className="mark" title={LENGTH_MARK[shown.exactIs]}>
          {shown.exactIs === 'more' ? '+' : '−'}
        </span>
      )}
      {bare ? null : <span className="unit">{unit}</span>}
    </span>
  );
});

export function SizeText({ of, ...props }: { of: Size } & Omit<LenProps, 'value'>) {
  return (
    <span>
      <Len {...props} value={of.w} bare /> × <Len {...props} value={of.h} bare />
    </span>
  );
}

export const Cash = ({ value }: { value: Money | number }) => <span>{formatMoney(value as Money)}</span>;

/** Plain text with its fractions set as fractions: `package 16 3/4 in + allowance 1/8 in`. */
export function FractionText({ text }: { text: string }) {
  return (
    <>
      {text
        .replace(/(\d) (?=(?:in|mm)\b)/g, '$1\u00a0')
        .split(/((?<=\d) (?=\d+\/\d)|\d+\/\d+)/)
        .map((part, index) => {
          if (part === ' ' && index % 2 === 1)
            return (
              <span key={index} className="gap">
                {' '}
              </span>
            );
          return (
            <Fragment key={index}>{/^\d+\/\d+$/.test(part) ? <span className="frac">{part}</span> : part}</Fragment>
          );
        })}
    </>
  );
}
