/** The open computations, and their description, generated from the schemas that check the requests. */
import { z } from 'zod';
import { commands, sheetsPlanSchema, sticksPlanSchema } from '@/contract/commands';
import { type WorkOutAnswer, answerOf, presenter, workOutAnswer, workingsOut } from '@/core/public-api/answer';
import { workOutBody } from '@/core/public-api/body';
import { readRequest } from '@/core/public-api/request';
import { EMPTY_CATALOGUE } from '@/core/materials';
import { type Issue, type Outcome, bad, good, issue } from '@/core/issue';
import { sheetsSchema, sticksSchema } from '@/core/cutting/request-schema';
import { STANDARD_LISTS, STANDARD_SIZES } from '@/core/sizing/match';
import { TOPICS, sumUp } from '@/core/sums';
import { exactText } from '@/core/units/format-length';
import { parseLength, splitSize } from '@/core/units/parse-length';
import type { Unit } from '@/core/units/length';
import { withinLimit } from '@/core/units/money';
import { workOut } from '@/core/work-out';
import { instructionsOf } from '@/core/instructions/instructions';
import { sayLine } from '@/words/instructions';
import { sayCaution, sayIssue, sayWayOut } from '@/words/issues';
import { foundRow } from '@/db/queries/orders';
import { schemaIssues } from './door';
import type { ShopData } from './app-context';

/** The books a design is worked out with; without prices for those who see none. */
export type OpenBooks = Omit<ShopData, 'prices'> & { readonly prices?: ShopData['prices'] | undefined };

const WORDS = { caution: sayCaution, wayOut: sayWayOut, line: sayLine };
const NO_DEFAULTS = { mat: '', moulding: '', glazing: '', backing: '' };

/** One design in, everything that follows from it out. */
export function openWorkOut(
  body: unknown,
  books: OpenBooks | undefined,
  unitOut: Unit | undefined,
  withWorking: boolean,
): Outcome<WorkOutAnswer> {
  const checked = workOutBody.safeParse(body);
  if (!checked.success) return bad(...schemaIssues(checked.error.issues));
  const home = books?.settings.homeUnit ?? 'in';
  const { request, complaints } = readRequest(checked.data, home, books?.house ?? NO_DEFAULTS);
  if (complaints.length > 0) return bad(...complaints.map((one): Issue => ({ ...one })));
  const prices = request.prices ?? books?.prices;
  const result = workOut(request.design, {
    settings: request.settings,
    catalogue: books?.catalogue ?? EMPTY_CATALOGUE,
    ...(prices ? { prices } : {}),
    ...(request.minutes === undefined ? {} : { minutes: request.minutes }),
  });
  if (!result.ok) return result;
  const unit = unitOut ?? request.settings.homeUnit;
  const told = withWorking ? instructionsOf(result.value, request.settings) : undefined;
  return withinLimit(() => answerOf(result.value, unit, WORDS, prices, withWorking, told));
}

const MOST_AT_ONCE = 1000;
/** Designs worked out between two looks at what else the server was asked. */
const AT_A_STRETCH = 20;
type Refused = { readonly issues: readonly (Issue & { readonly message: string })[] };

export const isBatch = (body: unknown): body is { readonly designs: readonly unknown[] } =>
  typeof body === 'object' && body !== null && Array.isArray((body as { designs?: unknown }).designs);

/** Many designs in one request: an answer or its issues for each, in order. Other requests are let through between them. */
export async function openBatch(
  designs: readonly unknown[],
  books: OpenBooks | undefined,
  unitOut: Unit | undefined,
  withWorking: boolean,
): Promise<Outcome<readonly (WorkOutAnswer | Refused)[]>> {
  if (designs.length === 0 || designs.length > MOST_AT_ONCE)
    return bad(
      issue('input-wrong', { reason: 'too-many-at-once', most: MOST_AT_ONCE, sent: designs.length }, 'designs'),
    );
  const results: (WorkOutAnswer | Refused)[] = [];
  for (const [index, design] of designs.entries()) {
    if (index % AT_A_STRETCH === AT_A_STRETCH - 1) await new Promise(setImmediate);
    const result = openWorkOut(design, books, unitOut, withWorking);
    results.push(
      result.ok
        ? result.value
        : { issues: result.issues.map((one) => ({ ...one, message: sayIssue(one, unitOut ?? 'in') })) },
    );
  }
  return good(results);
}

/** One sum by itself, or a list of them: the answer has the keys of the worked cases, in the same words. */
export function openSum(
  name: string,
  body: unknown,
  home: Unit,
  unitOut: Unit | undefined,
  withWorking: boolean,
): Outcome<unknown> {
  const topic = Object.hasOwn(TOPICS, name) ? TOPICS[name] : undefined;
  if (!topic) return bad(issue('topic-unknown', { topic: name.slice(0, 60) }));
  const one = (given: unknown, path: string): Outcome<unknown> => {
    const checked = topic.body.safeParse(given);
    if (!checked.success) return bad(...at(schemaIssues(checked.error.issues), path));
    const asked = checked.data as { unit?: Unit };
    const result = sumUp(topic, asked, home);
    if (!result.ok) return bad(...at(result.issues, path));
    const { answer, workings } = result.value;
    return good(withWorking ? { ...answer, working: workingsOut(workings, unitOut ?? asked.unit ?? home) } : answer);
  };
  if (!Array.isArray(body)) return one(body, '');
  if (body.length > MOST_AT_ONCE)
    return bad(issue('input-wrong', { reason: 'too-many-at-once', most: MOST_AT_ONCE, sent: body.length }));
  const all = body.map((given, index) => one(given, String(index)));
  const wrong = all.flatMap((result) => (result.ok ? [] : result.issues));
  return wrong.length > 0 ? bad(...wrong) : good(all.map((result) => result.ok && result.value));
}
const at = (issues: readonly Issue[], path: string): Issue[] =>
  issues.map((one) => (path === '' ? one : { ...one, path: one.path ? `${path}.${one.path}` : path }));

/** The lists; with `opening=7 3/4 x 9 3/4` and `border=2`, the sizes that suit it and the borders each would give. */
export function openStandardSizes(query: Readonly<Record<string, string>>, home: Unit): Outcome<unknown> {
  const unit = query.unit === 'in' || query.unit === 'mm' ? query.unit : home;
  if (query.opening === undefined) {
    const lists = STANDARD_LISTS.map((list) => [
      list,
      STANDARD_SIZES[list].map(({ w, h }) => ({ w: exactText(w, unit), h: exactText(h, unit) })),
    ]);
    return good({ lists: Object.fromEntries(lists) as unknown });
  }
  const [w, h] = splitSize(query.opening) ?? [query.opening, query.opening];
  const border = query.border;
  const { opening: _opening, border: _border, ...rest } = query;
  const given = {
    ...rest,
    unit,
    opening: { w, h },
    ...(border === undefined ? {} : { borderWished: { left: border, right: border, top: border, bottom: border } }),
  };
  return openSum('standard-sizes', given, home, unit, false);
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
const issueSchema = z.object({
  code: z.string(),
  path: z.string(),
  figures: z.record(z.string(), z.unknown()),
  message: z.string(),
});
const problemSchema = z.object({ type: z.string(), title: z.string(), status: z.int(), issues: z.array(issueSchema) });
const planTold = {
  reasons: z.array(z.object({ id: z.string(), code: z.string(), figures: z.record(z.string(), z.unknown()) })),
  ms: z.int(),
};
const batchBody = z.strictObject({ designs: z.array(workOutBody).min(1).max(MOST_AT_ONCE) });
const batchAnswer = z.object({
  results: z.array(z.union([workOutAnswer, z.object({ issues: z.array(issueSchema) })])),
});
const sumAnswer = z.record(z.string(), z.unknown()).describe('the keys of the worked cases, figures as text');

const json = (schema: z.ZodType, io: 'input' | 'output') => ({
  'application/json': { schema: z.toJSONSchema(schema, { io, unrepresentable: 'any' }) },
});
const query = (name: string, description: string, schema: unknown) => ({
  name,
  in: 'query',
  required: false,
  description,
  schema,
});

function describe(): unknown {
  const unit = query('unit', 'the unit of texts in the answer', { enum: ['in', 'mm'] });
  const working = query('working', 'true: say how each figure came about', { type: 'boolean' });
  const refused = {
    description: 'Refused, with a code, a path and a sentence for each issue',
    content: { 'application/problem+json': json(problemSchema, 'output')['application/json'] },
  };
  const refusals = { 400: refused, 401: refused, 413: refused, 422: refused, 429: refused };
  const post = (summary: string, body: z.ZodType, answer: z.ZodType, parameters: unknown[]) => ({
    post: {
      summary,
      parameters,
      requestBody: { required: true, content: json(body, 'input') },
      responses: { 200: { description: 'Worked out', content: json(answer, 'output') }, ...refusals },
    },
  });
  const sums = Object.entries(TOPICS).map(([name, topic]) => [
    `/api/v1/sums/${name}`,
    post(
      `${topic.title}, by itself`,
      z.union([topic.body, z.array(topic.body).max(MOST_AT_ONCE)]),
      z.union([sumAnswer, z.array(sumAnswer)]),
      [working],
    ),
  ]);
  return {
    openapi: '3.1.0',
    info: {
      title: 'Lopren',
      version: '1',
      description:
        'The arithmetic of the shop, open to a spreadsheet, a saw stop or a check. Lengths in: text as people write it, or a number of millimetres.',
    },
    paths: {
      '/api/v1/work-out': post(
        'One design in, everything that follows from it out; or many designs in one request',
        z.union([workOutBody, batchBody]),
        z.union([workOutAnswer, batchAnswer]),
        [unit, working],
      ),
      ...Object.fromEntries(sums),
      ...Object.fromEntries(
        (['sticks', 'sheets'] as const).map((kind) => [
          `/api/v1/cut-plans/${kind}`,
          post(
            `One cutting plan of many ${kind === 'sticks' ? 'frames' : 'parts'}; with Accept: text/event-stream each better plan as an event “plan”, the last as “done”`,
            kind === 'sticks' ? sticksSchema : sheetsSchema,
            kind === 'sticks' ? sticksPlanSchema.extend(planTold) : sheetsPlanSchema.extend(planTold),
            [
              query('budgetMs', 'how long it may take, in milliseconds; 1000 when absent', { type: 'integer' }),
              query('iterations', 'instead: so many turns for each material, for the same plan every time', {
                type: 'integer',
              }),
            ],
          ),
        ]),
      ),
      '/api/v1/rack': {
        ...post(
          'Add a piece to the rack or change one; lengths in 1/320 mm',
          commands['put-rack-piece'].payload,
          z.object({ code: z.string() }),
          [],
        ),
        get: {
          summary: 'What lies on the rack',
          responses: {
            200: { description: 'The pieces', content: json(z.object({ pieces: z.array(z.unknown()) }), 'output') },
            401: refused,
          },
        },
      },
      '/api/v1/orders': {
        ...post(
          'Quote an order, or change a quote; lengths in 1/320 mm',
          commands['save-quote'].payload,
          z.object({ number: z.int(), revision: z.int() }),
          [],
        ),
        get: {
          summary: 'Orders with what is agreed and paid, in the smallest coin',
          parameters: [
            query('text', 'a name, phone or number', { type: 'string' }),
            query('in', 'open: only those accepted and not handed over', { enum: ['open', 'all'] }),
          ],
          responses: {
            200: { description: 'The orders', content: json(z.object({ orders: z.array(foundRow) }), 'output') },
            401: refused,
          },
        },
      },
      '/api/v1/lengths/parse': post('Read one length as people write it', parseBody, lengthAnswer, [unit]),
      '/api/v1/standard-sizes': {
        get: {
          summary: 'Standard sizes, or those that suit an opening',
          parameters: [
            unit,
            query('opening', 'width x height of the window', { type: 'string' }),
            query('border', 'the border wished, all round', { type: 'string' }),
            query('fitted', 'how a border is fitted', { enum: ['centred', 'bottom-heavy', 'optical'] }),
            query('list', 'only this list', { enum: STANDARD_LISTS }),
          ],
          responses: {
            200: { description: 'The lists, or the offers', content: json(sumAnswer, 'output') },
            ...refusals,
          },
        },
      },
    },
  };
}

let described: unknown;
/** OpenAPI 3.1, made from the schemas that check the requests. */
export const openApi = (): unknown => (described ??= describe());
