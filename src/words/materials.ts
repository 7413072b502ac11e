/** Names of pieces, parts, hardware and price lines. */
export const KIND_NAMES: Readonly<Record<string, string>> = {
  print: 'Print',
  poster: 'Poster',
  photograph: 'Photograph',
  certificate: 'Certificate',
  chart: 'Chart',
  drawing: 'Drawing',
  pastel: 'Pastel',
  charcoal: 'Charcoal',
  watercolour: 'Watercolour',
  painting: 'Painting on paper',
  textile: 'Textile',
};
export const LINE_NAMES: Readonly<Record<string, string>> = {
  moulding: 'Moulding',
  mats: 'Mat',
  glazing: 'Glazing',
  backing: 'Backing',
  labour: 'Work',
  hardware: 'Hanging kit',
};
export const HARDWARE_NAMES: Readonly<Record<string, string>> = {
  'flexible point': 'Flexible points',
  hinge: 'Paper hinges',
  'sealing tape': 'Sealing tape',
  ring: 'Rings',
  wire: 'Wire',
  bumper: 'Bumpers',
};

/** `Thu 3 Dec` from `2026-12-03`; the year only when it is not this one. */
export function dayName(day: string, thisYear?: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const at = new Date(Date.UTC(year, month - 1, date));
  const week = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'][at.getUTCDay()];
  const name = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'][month - 1];
  return `${week} ${date} ${name}${thisYear !== undefined && thisYear !== year ? ` ${year}` : ''}`;
}
