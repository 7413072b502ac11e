/** The keys of each place, as their dialog lists them. */
export const KEYS = {
  head: 'Keys',
  all: [
    ['/', 'Find anything'],
    ['u', 'Inches or millimetres'],
    ['1 … 7, Alt 1 … 7', 'Desk: open a section, the latter also while typing'],
    ['Alt Enter', 'Desk: the next piece, at its name'],
    ['Ctrl Enter', 'Desk: whose it is, then the yes'],
    ['p', 'Desk: photos and condition of the piece'],
    ['c', 'Desk: designs side by side; then + copies, v varies, a advises, k keeps, ← → walk, Delete takes out'],
    ['t', 'Desk: turned to the customer, without cost, margin and what is for staff'],
    ['w', 'Desk: on the wall; arrow keys move the frame that is held'],
    ['h', 'Desk: the mat by hand; arrow keys move the window or the edge that is held'],
    ['m', 'Desk: cost and margin, shown or hidden'],
    ['Enter', 'Take the field and go to the next'],
    ['Ctrl Z, Ctrl Y', 'Desk: undo, redo'],
    ['Ctrl S', 'Desk: save the quote'],
    ['digits, Enter', 'Bench: open a ticket (a scanner types the same)'],
    ['Enter', 'Bench: the step is done'],
    ['?', 'These keys'],
  ],
} as const;
