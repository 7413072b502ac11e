/** What several rules need to make their ways out. */
import type { WayOutCode } from '../../issue-codes';
import { BUILDS } from '../../builds';
import type { Design } from '../../design/design';
import { set } from '../../design/edit';
import type { Catalogue } from '../../materials';
import { fitsEitherWay } from '../../units/length';
import type { Facts, Figures, WayOut } from '../caution';
import type { Situation } from '../situation';

export const way = (
  code: WayOutCode,
  design: Design,
  path: (string | number)[],
  to: unknown,
  figures: Figures = {},
): WayOut => ({
  code,
  figures,
  edit: set(design, path, to),
});

export const ownWay = (
  code: WayOutCode,
  { resolved: { design } }: Facts,
  key: string,
  to: unknown,
  figures: Figures = {},
): WayOut[] =>
  key in BUILDS[design.build].fields ? [way(code, design, ['own'], { ...design.own, [key]: to }, figures)] : [];

export const acrylicWay = ({ resolved: { design }, sizes }: Facts, catalogue: Catalogue): WayOut[] => {
  const acrylic = [...catalogue.glazings.values()].find(
    (glazing) => glazing.type === 'acrylic' && (!glazing.largest || fitsEitherWay(sizes.package, glazing.largest)),
  );
  return acrylic ? [way('use-glazing', design, ['glazing'], { code: acrylic.code }, { name: acrylic.name })] : [];
};

/** The first mat board that is acid-free, as a board behind the piece. */
export const boardWay = (design: Design, catalogue: Catalogue): WayOut[] => {
  const board = [...catalogue.mats.values()].find(({ archival }) => archival);
  return board ? [way('add-board', design, ['mountBoard'], { code: board.code }, { name: board.name })] : [];
};

export const glazed = ({ glazing }: Situation) => glazing === 'glass' || glazing === 'acrylic';
