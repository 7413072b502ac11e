/** The open computations: work-out and length parsing, and their description, generated from the schemas in use. */
import { z } from 'zod';
import { type WorkOutAnswer, answerOf, presenter, workOutAnswer } from '@/core/open/answer';
import { workOutBody } from '@/core/open/body';
import { readRequest } from '@/core/open/request';
import { EMPTY_CATALOGUE } from '@/core/materials';
import { type Issue, type Outcome, bad, good } from '@/core/issue';
import { parseLength } from '@/core/units/parse-length';
import type { Unit } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { sayCaution, sayWayOut } from '@/words/issues';
import { schemaIssues } from './door';
import type { Books } from './house';

const WORDS = { caution: sayCaution, wayOut: sayWayOut };
const NO_HOUSE = { mat: '', moulding: '', glazing: '', backing: '' };

/** One design in, everything that follows from it out. */
export function openWorkOut(
  body: unknown,
  books: Books | undefined,
  unitOut: Unit | undefined,
  withWorking: boolean,
): Outcome<WorkOutAnswer> {
  const checked = workOutBody.safeParse(body);
  if (!checked.success) return bad(...schemaIssues(checked.error.issues));
  const home = books?.settings.homeUnit ?? 'in';
  const { request, complaints } = readRequest(checked.data, home, books?.shop.house ?? NO_HOUSE);
  if (complaints.length > 0) return bad(...complaints.map((one): Issue => ({ ...one })));
  const prices = request.prices ?? books?.prices;
  const result = workOut(request.design, {
    settings: request.settings,
    books: books?.catalogue ?? EMPTY_CATALOGUE,
    ...(prices ? { prices } : {}),
    ...(request.minutes === undefined ? {} : { minutes: request.minutes }),
  });
  if (!result.ok) return result;
  return good(answerOf(result.value, unitOut ?? request.settings.homeUnit, WORDS, prices, withWorking));
}

export const parseBody = z.strictObject({
  text: z.string().max(1000),
  unit: z.enum(['in', 'mm']).optional().describe('the unit of bare numbers; the home unit when absent'),
  zeroAllowed: z.boolean().optional(),
  decimalComma: z.boolean().optional(),
});

export function openParse(body: unknown, home: Unit, unitOut: Unit | undefined) {
  const checked = parseBody.safeParse(body);
  if (!checked.success) return bad(...schemaIssues(checked.error.issues));
  const { text, unit = home, zeroAllowed = false, decimalComma = false } = checked.data;
  const read = parseLength(text, { unit, zeroAllowed, decimalComma });
  return read.ok ? good({ length: presenter(unitOut ?? unit).len(read.value) }) : read;
}

const lengthAnswer = z.object({ length: z.object({ mm: z.number(), units: z.int(), text: z.string() }) });
const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  issues: z.array(
    z.object({ code: z.string(), path: z.string(), figures: z.record(z.string(), z.unknown()), message: z.string() }),
  ),
});

const json = (schema: z.ZodType, io: 'input' | 'output') => ({
  'application/json': { schema: z.toJSONSchema(schema, { io, unrepresentable: 'any' }) },
});

/** OpenAPI 3.1, made from the schemas that check the requests. */
export function openApi(): unknown {
  const unit = {
    name: 'unit',
    in: 'query',
    required: false,
    description: 'the unit of texts in the answer',
    schema: { enum: ['in', 'mm'] },
  };
  const refused = {
    description: 'Refused, with a code, a path and a sentence for each issue',
    content: { 'application/problem+json': json(problemSchema, 'output')['application/json'] },
  };
  const post = (summary: string, body: z.ZodType, answer: z.ZodType, parameters: unknown[]) => ({
    post: {
      summary,
      parameters,
      requestBody: { required: true, content: json(body, 'input') },
      responses: {
        200: { description: 'Worked out', content: json(answer, 'output') },
        400: refused,
        401: refused,
        413: refused,
        422: refused,
        429: refused,
      },
    },
  });
  const working = {
    name: 'working',
    in: 'query',
    required: false,
    description: 'true: say how each figure came about',
    schema: { type: 'boolean' },
  };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Lopren',
      version: '1',
      description:
        'The arithmetic of the shop, open to a spreadsheet, a saw stop or a check. Lengths in: text as people write it, or a number of millimetres.',
    },
    paths: {
      '/api/v1/work-out': post('One design in, everything that follows from it out', workOutBody, workOutAnswer, [
        unit,
        working,
      ]),
      '/api/v1/lengths/parse': post('Read one length as people write it', parseBody, lengthAnswer, [unit]),
    },
  };
}
