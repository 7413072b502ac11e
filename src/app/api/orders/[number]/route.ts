import { problem, signedIn } from '@/server/http';
import { orderView } from '@/server/views';

export async function GET(_request: Request, { params }: { params: Promise<{ number: string }> }): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const { number } = await params;
  const order = /^\d{1,9}$/.test(number) ? await orderView(who.house, Number(number)) : undefined;
  return order ? Response.json(order) : problem([{ code: 'order-unknown', figures: {} }]);
}
