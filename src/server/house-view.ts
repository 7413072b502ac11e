/** The designs that the house begins with, those that this program can read. */
import type { HouseDesignView } from '@/contract/views';
import { designSchema } from '@/core/design/schema';
import { houseDesigns } from '@/db/queries/house';
import type { CounterViewer } from './access';

export async function houseDesignsView({ app }: CounterViewer): Promise<HouseDesignView[]> {
  return (await houseDesigns(app.db)).flatMap(({ id, name, design }) => {
    const read = designSchema.safeParse(design);
    return read.success ? [{ id, name, design: read.data }] : [];
  });
}
