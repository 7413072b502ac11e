import { Board } from '@/features/board/board';
import { pageViewer } from '@/server/access';
import { boardView } from '@/server/views';

export const metadata = { title: 'Board' };

export default async function Page() {
  return <Board board={await boardView(await pageViewer('/board'))} />;
}
