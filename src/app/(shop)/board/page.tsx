import { Board } from '@/features/board/board';
import { pageViewer } from '@/server/access';
import { boardView } from '@/server/views';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.board };

export default async function Page() {
  return <Board board={await boardView(await pageViewer('/board'))} />;
}
