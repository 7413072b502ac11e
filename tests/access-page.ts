/** `docs/access.md` as the tables of pages, routes and commands say it; written by `npm run access`. */
import { type Audience, LISTS, OPEN_BECAUSE, PAGES, PAPERS, ROUTES } from '@/contract/access';
import { type CommandName, ROLES, commandOf, commands } from '@/contract/commands';

const mark = (audience: Audience, role: (typeof ROLES)[number] | 'stranger'): string => {
  if (audience === 'anybody') return '●';
  if (audience === 'computing') return role === 'stranger' ? 'demo' : role === 'view' ? '' : '●';
  return role !== 'stranger' && audience.includes(role) ? '●' : '';
};
const WHO = [...ROLES, 'stranger'] as const;
const rows = (table: Readonly<Record<string, Audience>>) =>
  Object.entries(table).map(
    ([name, audience]) => `| \`${name}\` | ${WHO.map((who) => mark(audience, who)).join(' | ')} |`,
  );
const head = (what: string) => [`| ${what} | ${WHO.join(' | ')} |`, `|---|${WHO.map(() => ':-:').join('|')}|`];
const ofCommand = (name: CommandName): Audience => {
  const { roles, internal } = commandOf(name);
  return internal || roles.length > 0 ? roles : 'anybody';
};

export const accessPage = (): string =>
  [
    '# Who may see and do what',
    '',
    'Written by `npm run access` from `src/contract/access.ts` and `src/contract/commands.ts`, and compared by a test.',
    'A page or a route without an entry there does not compile; what a role may not see is cut in the view',
    '(`src/server/views.ts`, `rack-views.ts`): the bench gets no cost, price, margin, telephone number or mail.',
    '`demo` is a stranger who asks a demo shop that listens on its own machine only.',
    '',
    '## Pages',
    '',
    ...head('page'),
    ...rows(PAGES),
    '',
    '## Routes',
    '',
    ...head('route'),
    ...rows(ROUTES),
    '',
    '## Papers and lists',
    '',
    ...head('paper or list'),
    ...rows({ ...PAPERS, ...LISTS }),
    '',
    '## Commands',
    '',
    'By `POST /api/v1/commands`. A command without a mark is given by the program itself.',
    '',
    ...head('command'),
    ...rows(Object.fromEntries((Object.keys(commands) as CommandName[]).map((name) => [name, ofCommand(name)]))),
    '',
    '## What a stranger gets, and why',
    '',
    '| what | why |',
    '|---|---|',
    ...Object.entries(OPEN_BECAUSE).map(([name, why]) => `| \`${name}\` | ${why} |`),
    '| `demo` above | computations tell nothing of the shop; only in a demo, only on its own machine |',
    '| command `set-up-shop` | only while there is no shop, and with the code that the console printed |',
    '',
  ].join('\n');
