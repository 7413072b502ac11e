import { cookies } from 'next/headers';
import type { Unit } from '@/core/units/length';

/** The unit this browser shows figures in: as it was switched, else the shop's own. */
export async function unitAsked(homeUnit: Unit): Promise<Unit> {
  const kept = (await cookies()).get('unit')?.value;
  return kept === 'in' || kept === 'mm' ? kept : homeUnit;
}
