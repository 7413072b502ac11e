import { issue } from '@/core/issue';
import { caller, openRoute } from '@/server/access';
import { actByLink } from '@/server/guest-acts';
import { guestOf } from '@/server/guests';
import { readText } from '@/server/http';
import { problem } from '@/server/problem';
import { unreadable } from '@/server/texts';

const LARGEST = 16_000;
/** What was typed goes back into its field, as far as an address carries it. */
const CARRIED = 800;

const goOn = (to: string) => new Response(null, { status: 303, headers: { location: to } });

/** What a form of the link's page asks; it needs no script, and goes on to the page again. */
export const POST = openRoute(
  'POST /api/link/[token]',
  async (request, app, _person, { token = '' }) => {
    const page = `/link/${encodeURIComponent(token)}`;
    const guest = await guestOf(app, token, (await caller()).address);
    if (typeof guest === 'string') return goOn(page);
    const text = await readText(request, LARGEST);
    if (text === undefined) return problem([issue('body-too-large', { most: '16 kB' })]);
    const fields = Object.fromEntries(new URLSearchParams(text));
    if (unreadable(fields) !== undefined) return problem([issue('text-unreadable')]);
    const { said, typed = {}, to } = await actByLink(guest, fields, page);
    if (to !== undefined) return goOn(to);
    const query = new URLSearchParams(said === undefined ? {} : { said });
    for (const key of ['name', 'question']) if (typed[key] !== undefined) query.set(key, typed[key].slice(0, CARRIED));
    return goOn(query.size === 0 ? page : `${page}?${query.toString()}`);
  },
  'form',
);
