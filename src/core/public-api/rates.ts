/** The price book that the rates of a request stand for. */
import type { PriceBook } from '../pricing/book';
import { moneyFrom } from '../units/money';
import { mustDecimal } from '../units/rational';
import type { RatesBody } from './body';

export function pricesOf(rates: RatesBody): PriceBook {
  const glazing = rates.glazing ?? rates.glass;
  const percent = rates.tax?.percent ?? '0';
  return {
    edition: 0,
    groups: {
      moulding: { markup: rates.moulding?.markup ?? '1' },
      mat: { markup: rates.mat?.markup ?? '1' },
      glazing: { markup: glazing?.markup ?? '1', minimumArea: glazing?.minimumSquareMetres ?? '0.1' },
      backing: { markup: rates.backing?.markup ?? '1' },
    },
    labourPerHour: rates.labour?.perHour ?? '0',
    kit: moneyFrom(mustDecimal(rates.hardware ?? '0')),
    ...(rates.quantityBreaks ? { quantityBreaks: rates.quantityBreaks } : {}),
    ...(rates.rushPercent === undefined ? {} : { rush: rates.rushPercent }),
    sellingStep: { ft: '0.25', m: '0.1' },
    ending: rates.ending ?? 'none',
    tax: { mode: rates.tax?.mode ?? 'exclusive', percent: { goods: percent, labour: percent, delivery: percent } },
    depositPercent: rates.depositPercent ?? '50',
    quoteDays: 30,
  };
}
