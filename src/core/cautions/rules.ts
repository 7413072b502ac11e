/**
 * The rules, one entry of a table each: whether it fires on the facts, the figures of its sentence, the field it
 * belongs to, and ways out as edits of the design.
 */
import type { Rule } from './caution';
import { CARE_RULES } from './rules/care';
import { FRAME_RULES } from './rules/frame';
import { MAT_RULES } from './rules/mat';

export const RULES: readonly Rule[] = [...MAT_RULES, ...FRAME_RULES, ...CARE_RULES];
