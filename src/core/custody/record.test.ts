import { describe, expect, it } from 'vitest';
import { pieceRecordSchema } from './record-schema';
import {
  FLAGS,
  FAULT_KINDS,
  type Fault,
  NO_RECORD,
  type PieceRecord,
  frontsOf,
  nextNumber,
  setApart,
  withPhotoChanged,
  withoutPhoto,
} from './record';

const [A, B, C] = ['a', 'b', 'c'].map((sign) => sign.repeat(64)) as [string, string, string];
const fault = (number: number, over: Partial<Fault> = {}): Fault => ({
  number,
  kind: 'tear',
  size: '1 cm',
  says: 'at the edge',
  noticedBy: 'shop',
  agreed: true,
  ...over,
});
const record = (over: Partial<PieceRecord> = {}): PieceRecord => ({
  ...NO_RECORD,
  photos: [
    { hash: A, side: 'front' },
    { hash: B, side: 'back' },
  ],
  ...over,
});

describe('the record of a piece', () => {
  it('sets apart what a conservator sees first, each reason once, and nothing else', () => {
    expect(setApart(record())).toEqual([]);
    const some = record({
      faults: [fault(1, { kind: 'mould' }), fault(2, { kind: 'mould' }), fault(3)],
      flags: ['wet', 'gloves'],
    });
    expect(setApart(some)).toEqual(['mould', 'wet']);
    const all = [...FAULT_KINDS, ...FLAGS].filter(
      (one) =>
        setApart({
          faults: FAULT_KINDS.some((kind) => kind === one) ? [fault(1, { kind: one as Fault['kind'] })] : [],
          flags: FLAGS.filter((flag) => flag === one),
        }).length > 0,
    );
    expect(all).toEqual(['flaking', 'mould', 'insects', 'sheds', 'wet']);
  });

  it('stands for its piece by its fronts, in their order', () => {
    const photos = [
      { hash: B, side: 'front' as const },
      { hash: C, side: 'detail' as const },
      { hash: A, side: 'front' as const },
    ];
    expect(frontsOf({ photos })).toEqual([B, A]);
  });

  it('gives the next fault the number after the highest', () => {
    expect(nextNumber([])).toBe(1);
    expect(nextNumber([fault(1), fault(4)])).toBe(5);
  });

  it('keeps the faults of a photo that is taken out, without their place', () => {
    const before = record({
      faults: [fault(1, { at: { hash: A, x: 0.5, y: 0.5 } }), fault(2, { at: { hash: B, x: 0, y: 0 } })],
    });
    const after = withoutPhoto(before, A);
    expect(after.photos).toEqual([{ hash: B, side: 'back' }]);
    expect(after.faults.map(({ at }) => at)).toEqual([undefined, { hash: B, x: 0, y: 0 }]);
    expect(pieceRecordSchema.safeParse(after).success).toBe(true);
  });

  it('puts a straightened photo where the first was, its marks taken off; one that is there already stands once', () => {
    const marked = record({ faults: [fault(1, { at: { hash: A, x: 0.2, y: 0.3 } })] });
    const after = withPhotoChanged(marked, A, C);
    expect(after.photos).toEqual([
      { hash: C, side: 'front' },
      { hash: B, side: 'back' },
    ]);
    expect(after.faults[0]!.at).toBeUndefined();
    expect(withPhotoChanged(record(), A, B).photos).toEqual([{ hash: B, side: 'front' }]);
  });

  it.each([
    [
      'a photo twice',
      record({
        photos: [
          { hash: A, side: 'front' },
          { hash: A, side: 'back' },
        ],
      }),
      'photo-twice',
    ],
    ['a number twice', record({ faults: [fault(1), fault(1)] }), 'fault-twice'],
    [
      'a mark on a photo that is not its own',
      record({ faults: [fault(1, { at: { hash: C, x: 0, y: 0 } })] }),
      'mark-without-photo',
    ],
    ['a mark beside the photo', record({ faults: [fault(1, { at: { hash: A, x: 1.2, y: 0 } })] }), undefined],
    ['a hash that is a path', record({ photos: [{ hash: '../../secret', side: 'front' }] }), 'not-a-photo'],
    ['an unknown flag', record({ flags: ['fragile' as never] }), undefined],
    ['a thousand faults', record({ faults: Array.from({ length: 1000 }, (_, k) => fault(k + 1)) }), undefined],
  ])('refuses %s', (_name, value, message) => {
    const read = pieceRecordSchema.safeParse(value);
    expect(read.success).toBe(false);
    if (message) expect(read.error!.issues.map((one) => one.message)).toContain(message);
  });
});
