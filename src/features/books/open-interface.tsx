/** The open interface as a page to read: every path, what it takes and what it says, from the described document itself. */
import styles from './open-interface.module.css';
import { INTERFACE } from '@/words/screens/books';

interface Schema {
  readonly type?: string | readonly string[];
  readonly description?: string;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly items?: Schema;
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
}
interface Operation {
  readonly summary: string;
  readonly parameters?: readonly { readonly name: string; readonly description: string }[];
  readonly requestBody?: { readonly content: { readonly 'application/json': { readonly schema: Schema } } };
}
export interface ApiDocument {
  readonly info: { readonly description: string };
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
}

const alternatives = (schema: Schema): readonly Schema[] => schema.oneOf ?? schema.anyOf ?? [];

/** What may stand for a key, in a few words. */
function kindOf(schema: Schema): string {
  if (schema.const !== undefined) return `“${String(schema.const)}”`;
  if (schema.enum) return schema.enum.map(String).join(', ');
  if (schema.description) return schema.description.replace(/:.*/, '');
  const others = alternatives(schema);
  if (others.length > 0) return [...new Set(others.map(kindOf))].join(' or ');
  if (schema.items) return INTERFACE.listOf(kindOf(schema.items));
  if (schema.properties) return `{ ${Object.keys(schema.properties).join(', ')} }`;
  return Array.isArray(schema.type) ? schema.type.join(' or ') : String(schema.type ?? 'any');
}

/** The objects a body may be: one, or one for each build. */
function shapes(schema: Schema): readonly Schema[] {
  if (schema.properties) return [schema];
  return alternatives(schema).flatMap(shapes);
}

function Keys({ shape }: { shape: Schema }) {
  return (
    <table>
      <tbody>
        {Object.entries(shape.properties ?? {}).map(([key, schema]) => (
          <tr key={key}>
            <th scope="row">
              {key}
              {shape.required?.includes(key) ? ' *' : ''}
            </th>
            <td>{kindOf(schema)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Body({ schema }: { schema: Schema }) {
  const all = shapes(schema);
  if (all.length <= 1) return all[0] ? <Keys shape={all[0]} /> : null;
  const [first, ...others] = all;
  const common = Object.keys(first!.properties ?? {});
  return (
    <>
      <Keys shape={first!} />
      <p>{INTERFACE.andByBuildThe}</p>
      <table>
        <tbody>
          {others
            .filter((schema) => schema.properties?.build)
            .map((schema) => {
              const own = Object.keys(schema.properties ?? {}).filter((key) => !common.includes(key));
              const name = String(schema.properties?.build?.const ?? '');
              return (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  <td>{own.join(', ') || 'none'}</td>
                </tr>
              );
            })}
        </tbody>
      </table>
    </>
  );
}

export function OpenInterface({ document: apiDocument }: { document: ApiDocument }) {
  return (
    <main className={styles.page}>
      <header>
        <h1>{INTERFACE.openInterface}</h1>
        <p>{apiDocument.info.description}</p>
        <p>
          {INTERFACE.errorsAreProblemDetails} <a href="/api/v1/openapi.json">{INTERFACE.theWholeDescriptionFor}</a>
        </p>
      </header>
      {Object.entries(apiDocument.paths).flatMap(([path, methods]) =>
        Object.entries(methods).map(([method, operation]) => (
          <details key={`${method} ${path}`}>
            <summary>
              <b>{method.toUpperCase()}</b> <code>{path}</code> <span>{operation.summary}</span>
            </summary>
            {operation.parameters && operation.parameters.length > 0 && (
              <p>
                {operation.parameters.map((parameter) => `?${parameter.name}: ${parameter.description}`).join('; ')}
              </p>
            )}
            {operation.requestBody && <Body schema={operation.requestBody.content['application/json'].schema} />}
          </details>
        )),
      )}
    </main>
  );
}
