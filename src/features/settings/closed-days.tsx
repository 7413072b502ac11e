'use client';
/** Days the shop stays closed besides, each to be opened again. */
import Chip from '@mui/material/Chip';
import { dayName } from '@/words/materials';
import { OPENING } from '@/words/screens/settings';

interface Props {
  readonly days: readonly string[];
  readonly year: number;
  readonly onOpen: (day: string) => void;
}
export const ClosedDays = ({ days, year, onOpen }: Props) =>
  days.map((day) => (
    <Chip
      key={day}
      label={dayName(day, year)}
      onDelete={() => onOpen(day)}
      aria-label={OPENING.openAgain(dayName(day))}
    />
  ));
