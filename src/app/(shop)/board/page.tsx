import { Board } from '@/features/board/board';
import { house } from '@/server/compose';
import { boardView } from '@/server/views';

export const metadata = { title: 'Board' };

export default async function Page() {
  return <Board board={await boardView(await house())} />;
}
