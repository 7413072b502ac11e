import { writeMouldingList } from '@/core/books/moulding-list';
import { signedIn } from '@/server/http';

export async function GET(_request: Request, { params }: { params: Promise<{ list: string }> }): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  if ((await params).list !== 'mouldings.csv') return new Response('There is no such list.', { status: 404 });
  const books = await who.house.books();
  return new Response(writeMouldingList(books?.lists.mouldings ?? []), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="mouldings.csv"',
    },
  });
}
