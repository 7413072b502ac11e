import { cookies } from 'next/headers';
import { problem, signedIn } from '@/server/http';
import { planByNumber, rackByCode } from '@/server/plans-made';
import { cutSheetPaper } from '@/server/papers/cut-sheet';
import { quotePaper } from '@/server/papers/quote';
import { rackLabel } from '@/server/papers/rack-label';
import { ticketPaper } from '@/server/papers/ticket';
import { wallCard } from '@/server/papers/wall-card';
import { dayName } from '@/words/materials';
import { jobView, orderView, shopView } from '@/server/views';

const pdf = (bytes: Uint8Array, name: string) =>
  new Response(Buffer.from(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${name}.pdf"`,
      'cache-control': 'no-store',
    },
  });

export async function GET(
  _request: Request,
  { params }: { params: Promise<{ paper: string; number: string }> },
): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const { paper, number } = await params;
  const shop = await shopView(who.house);
  if (!shop) return problem([{ code: 'shop-unknown', figures: {} }]);
  const kept = (await cookies()).get('unit')?.value;
  const unit = kept === 'in' || kept === 'mm' ? kept : shop.homeUnit;
  if (paper === 'quote' && /^\d{1,9}$/.test(number)) {
    const order = await orderView(who.house, Number(number));
    const made = order && (await quotePaper(order, shop, unit));
    return made
      ? pdf(made, `quote-${number}`)
      : problem([{ code: order ? 'quote-impossible' : 'order-unknown', figures: {} }]);
  }
  if (paper === 'cut-sheet' && /^\d{1,9}$/.test(number)) {
    const plan = await planByNumber(who.house.db, Number(number));
    if (!plan) return problem([{ code: 'plan-unknown', figures: {} }]);
    const { by, request: requests, plan: plans } = plan;
    const of = { number: plan.number, day: dayName(plan.at.toISOString().slice(0, 10)), by, requests, plans };
    return pdf(await cutSheetPaper(of, shop.lists, unit), `cut-sheet-${number}`);
  }
  if (paper === 'rack-label') {
    const piece = await rackByCode(who.house.db, number.slice(0, 20));
    if (!piece) return problem([{ code: 'rack-gone', figures: { code: number.slice(0, 20) } }]);
    const { mouldings, mats, glazings, backings } = shop.lists;
    const name = [...mouldings, ...mats, ...glazings, ...backings].find((one) => one.code === piece.material)?.name;
    return pdf(await rackLabel(piece, name ?? piece.material, unit), `label-${piece.code}`);
  }
  const job = paper === 'ticket' || paper === 'wall-card' ? await jobView(who.house, number) : undefined;
  if (!job) return problem([{ code: 'ticket-unknown', figures: { ticket: number.slice(0, 20) } }]);
  const make = paper === 'ticket' ? ticketPaper : wallCard;
  return pdf(await make(job, shop.name, unit), `${paper}-${number}`);
}
