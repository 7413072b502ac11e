import { ClosedPage } from '@/features/link/closed-page';

export default function NotFound() {
  return <ClosedPage why="unknown" contact="" />;
}
