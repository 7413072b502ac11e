/** Reads the materials and the lengths of a request, in its unit. */
import type { Field } from '../builds/fields';
import type { Design } from '../design/design';
import type { Moulding, SheetMaterial } from '../materials';
import { type Length, type Unit, inches, length, mm, plus } from '../units/length';
import type { WorkOutBody } from './body';
import { type LengthText, LengthReader } from './reader';

type Rate =
  | {
      costPerSquareFoot?: string | undefined;
      costPerSquareMetre?: string | undefined;
      markup?: string | undefined;
      minimumSquareMetres?: string | undefined;
    }
  | undefined;
const sheetCost = (rate: Rate): Pick<SheetMaterial, 'cost'> => {
  if (rate?.costPerSquareFoot !== undefined) return { cost: { amount: rate.costPerSquareFoot, per: 'sqft' } };
  return rate?.costPerSquareMetre !== undefined ? { cost: { amount: rate.costPerSquareMetre, per: 'sqm' } } : {};
};

interface Inline {
  name?: string | undefined;
  colour?: string | undefined;
  thickness?: LengthText | undefined;
  archival?: boolean | undefined;
  sheet?: { w: LengthText; h: LengthText } | undefined;
}
type InlineMoulding = Exclude<NonNullable<NonNullable<WorkOutBody['frame']>['moulding']>, string>;

/** What a design takes from its request, in the request's unit. */
export class RequestReader extends LengthReader {
  constructor(
    unit: Unit,
    private readonly rates: WorkOutBody['rates'],
  ) {
    super(unit);
  }

  sheet(body: Inline, path: string, name: string, thickness: Length, rate: Rate): SheetMaterial {
    return {
      code: name,
      name: body.name ?? name,
      thickness: this.read(`${path}.thickness`, body.thickness, thickness),
      colour: body.colour ?? '#f4ecdd',
      archival: body.archival ?? true,
      ...(body.sheet ? { largest: this.size(`${path}.sheet`, body.sheet) } : {}),
      ...sheetCost(rate),
    };
  }

  /** What a moulding costs by the rates of the request. */
  mouldingCost(): Pick<Moulding, 'cost'> {
    const { costPerFoot, costPerMetre } = this.rates?.moulding ?? {};
    if (costPerFoot !== undefined) return { cost: { amount: costPerFoot, per: 'ft' } };
    return costPerMetre !== undefined ? { cost: { amount: costPerMetre, per: 'm' } } : {};
  }

  moulding(given: InlineMoulding, path: string): Moulding {
    const stick = this.maybe(`${path}.stick`, given.stick);
    const { profileArea, density, rated } = given;
    const depth = this.read(`${path}.rabbetDepth`, given.rabbetDepth, inches(0, 1, 2));
    return {
      code: 'given',
      name: given.name ?? 'given moulding',
      supplier: '',
      faceWidth: this.read(`${path}.faceWidth`, given.faceWidth, length(2)),
      rabbetWidth: this.read(`${path}.rabbetWidth`, given.rabbetWidth, length(1)),
      rabbetDepth: depth,
      height: this.read(`${path}.height`, given.height, plus(depth, mm(5))),
      material: given.material ?? 'wood',
      profile: given.profile ?? 'flat',
      finish: '',
      colour: '#8a6f4d',
      ...(stick ? { stick } : {}),
      ...this.mouldingCost(),
      ...(profileArea ? { profileArea } : {}),
      ...(density ? { density } : {}),
      ...(rated ? { rated } : {}),
    };
  }

  mouldingChoice(of: string | InlineMoulding, path: string): Design['frame']['moulding'] {
    return typeof of === 'string' ? { code: of } : { given: this.moulding(of, path) };
  }

  own(path: string, field: Field, value: unknown): unknown {
    const text = value as LengthText;
    switch (field.kind) {
      case 'length':
        return this.read(path, text, length(1), field.zero);
      case 'lengths':
        return (value as LengthText[]).map((one, index) => this.read(`${path}.${index}`, one, length(1)));
      case 'size':
        return this.size(path, value as { w: LengthText; h: LengthText });
      case 'sides':
        return Object.fromEntries(
          Object.entries(value as Record<string, LengthText>).map(([side, one]) => [
            side,
            this.read(`${path}.${side}`, one, length(1)),
          ]),
        );
      default:
        return value;
    }
  }
}

/** Stands where a complaint was already made. */
export const NO_MOULDING: Moulding = {
  code: '',
  name: '',
  supplier: '',
  faceWidth: length(2),
  rabbetWidth: length(1),
  rabbetDepth: length(1),
  height: length(1),
  material: 'wood',
  profile: 'flat',
  finish: '',
  colour: '#8a6f4d',
};
