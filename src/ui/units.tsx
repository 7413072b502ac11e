'use client';
/** The unit in force. One key switches every figure on the screen; nothing stored ever changes with it. */
import { type ReactNode, createContext, useContext, useEffect, useMemo, useState } from 'react';
import type { Unit } from '@/core/units/length';
import { BAR } from '@/words/screens/frame';
import { Choice } from './choice';
import { onKey } from './keys';

interface Units {
  readonly unit: Unit;
  readonly setUnit: (unit: Unit) => void;
}
const Context = createContext<Units>({ unit: 'in', setUnit: () => undefined });

const YEAR = 31_536_000;

export function UnitProvider({ start, children }: { start: Unit; children: ReactNode }) {
  const [unit, keep] = useState(start);
  const units = useMemo(() => {
    const setUnit = (to: Unit) => {
      document.cookie = `unit=${to}; path=/; max-age=${YEAR}; samesite=strict`;
      keep(to);
    };
    return { unit, setUnit };
  }, [unit]);
  useEffect(() => onKey('u', () => units.setUnit(unit === 'in' ? 'mm' : 'in')), [unit, units]);
  return <Context.Provider value={units}>{children}</Context.Provider>;
}

export const useUnit = (): Units => useContext(Context);

export function UnitSwitch({ className }: { className?: string | undefined }) {
  const { unit, setUnit } = useUnit();
  return (
    <Choice
      label={BAR.unit}
      className={className}
      value={unit}
      options={[
        ['in', 'in'],
        ['mm', 'mm'],
      ]}
      onChange={setUnit}
    />
  );
}
