import { notFound } from 'next/navigation';
import { z } from 'zod';
import { PiecePage } from '@/features/piece/piece-page';
import { pageViewer } from '@/server/access';
import { pieceView } from '@/server/records';
import { TITLES } from '@/words/screens/titles';

export const metadata = { title: TITLES.piece };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const viewer = await pageViewer('/pieces/[id]');
  const { id } = await params;
  const view = z.uuid().safeParse(id).success ? await pieceView(viewer, id) : undefined;
  if (!view) notFound();
  return <PiecePage key={view.id} view={view} />;
}
