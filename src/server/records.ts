/** Records of pieces as screens and papers show them. */
import type { CareView, PieceView } from '@/contract/views';
import { NO_RECORD, frontsOf, setApart } from '@/core/custody/record';
import { designSchema } from '@/core/design/schema';
import { upgradedDesign } from '@/core/design/upgrades';
import { aboutPiece, draftedDesign, recordOf, type RecordRow } from '@/db/queries/records';
import type { Viewer } from './access';

const HUNDRED = 100;

/** A piece with what is written down about it; undefined where nobody knows of such a piece. */
export async function pieceView({ app, person }: Viewer, id: string): Promise<PieceView | undefined> {
  const settings = await app.shopSettings();
  const { about, row, drafted } = await app.db.read(async (db) => ({
    about: await aboutPiece(db, id),
    row: await recordOf(db, id),
    drafted: await draftedDesign(db, id),
  }));
  if (!about && !row && drafted === undefined) return undefined;
  const read = designSchema.safeParse(upgradedOr(about?.design ?? drafted));
  const design = read.success ? read.data : undefined;
  const bench = person.role === 'bench';
  const { valueLimit, places, lockedPlaces } = settings;
  return {
    id,
    revision: row?.revision ?? null,
    record: row?.record ?? NO_RECORD,
    signed: row?.signed ? signedView(row, bench) : null,
    at: row?.at.toISOString() ?? null,
    by: row?.by ?? null,
    title: design?.piece.title ?? '',
    kind: design?.piece.kind ?? 'print',
    size: design ? { w: design.piece.width, h: design.piece.height } : null,
    value: bench ? null : (design?.value ?? null),
    limit: bench || valueLimit === 0 ? null : valueLimit * HUNDRED,
    order: about ? { number: about.number, customer: about.customer, state: about.state, ticket: about.ticket } : null,
    places,
    lockedPlaces,
    maySign: !bench,
  };
}

const upgradedOr = (design: unknown): unknown => {
  try {
    return upgradedDesign(design);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return undefined;
  }
};

const signedView = ({ record, signed }: RecordRow, bench: boolean): NonNullable<PieceView['signed']> => ({
  name: signed!.name,
  strokes: signed!.strokes as never,
  at: signed!.at,
  value: bench ? null : signed!.value,
  current: JSON.stringify(signed!.record) === JSON.stringify(record),
});

/** What everybody who handles the piece should know. */
export const careOf = (row: RecordRow | undefined): CareView | null =>
  row
    ? {
        picture: frontsOf(row.record)[0] ?? null,
        flags: row.record.flags,
        apart: setApart(row.record),
        faults: row.record.faults.length,
        came: row.record.came.map(({ what }) => what),
        place: row.record.place,
      }
    : null;
