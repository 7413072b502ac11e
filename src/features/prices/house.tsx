'use client';
/** What a new order begins with, by code of the books. */
import type { ShopView } from '@/contract/views';
import type { DefaultMaterials } from '@/core/design/design';
import { Choose } from '@/ui/choose';
import { PRICES } from '@/words/screens/prices';

interface Props {
  readonly shop: ShopView;
  readonly house: DefaultMaterials;
  readonly onChange: (house: DefaultMaterials) => void;
}
export function House({ shop: { lists }, house, onChange }: Props) {
  const from = {
    mat: lists.mats,
    moulding: lists.mouldings,
    glazing: lists.glazings,
    backing: lists.backings,
    mirror: lists.glazings,
    boxBoard: lists.backings,
    mountBoard: [{ code: '', name: PRICES.noMountBoard }, ...lists.mats, ...lists.backings],
  };
  return (Object.keys(from) as (keyof typeof from)[]).map((key) => (
    <Choose
      key={key}
      label={PRICES.houses[key]}
      name={`house-${key}`}
      value={house[key] ?? ''}
      options={from[key]}
      onChange={(code) => {
        const { [key]: _before, ...others } = house;
        onChange((code === '' ? others : { ...house, [key]: code }) as DefaultMaterials);
      }}
    />
  ));
}
