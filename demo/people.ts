/** The made-up people of the demo. Their PINs are shown on the demo's sign-in page and used nowhere else. */
export const STAFF = [
  { name: 'Ines', role: 'owner', pin: '2417' },
  { name: 'Tobin', role: 'counter', pin: '3108' },
  { name: 'Maro', role: 'bench', pin: '5520' },
  { name: 'Sile', role: 'bench', pin: '6641' },
  { name: 'Counter screen', role: 'view', pin: '7790' },
] as const;

/** Who pays later: within so many days, owing at most so much. */
export const ON_ACCOUNT = { customer: 6, days: 30, limit: 100_000 } as const;

export const CUSTOMERS = [
  ['Orla Tamsin', '555 0142'],
  ['Bram Kestle', '555 0177'],
  ['Nerys Quill', '555 0118'],
  ['Harbour office, Quillet', '555 0100'],
  ['Dov Marrin', '555 0163'],
  ['Saskia Lowe-Penn', '555 0129'],
  ['Ferry school', '555 0191'],
  ['Teodor Vance', '555 0155'],
  ['Wynn Abery', '555 0134'],
  ['Ilse Corran', '555 0186'],
  ['Pascoe Trill', '555 0121'],
  ['Mirela Stroud', '555 0168'],
] as const;
