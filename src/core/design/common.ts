/** What the design of every build has, as types. The values that can be chosen stand in `choices.ts`, the schema in `common-schema.ts`. */
import type { z } from 'zod';
import type { borderSchema, commonFields, hangingSchema, severalSchema } from './common-schema';

export type { FitHow, Mount, PanelMaterial, PieceKind, Scope } from './choices';
export type Border = z.infer<typeof borderSchema>;
export type Several = z.infer<typeof severalSchema>;
export type HangingChoice = z.infer<typeof hangingSchema>;

/** A design of whatever build: what sizing, pricing and route look at. */
export interface AnyDesign extends z.infer<z.ZodObject<typeof commonFields>> {
  readonly build: string;
  /** Keys that its build declares; what is absent takes the shop's default. */
  readonly own?: Readonly<Record<string, unknown>> | undefined;
}
