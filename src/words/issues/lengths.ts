/** What can be wrong with a typed length. */
import type { LengthIssue } from '@/core/issue-codes';
import { type Sentences, EXAMPLE } from './sentence';

export const LENGTHS: Sentences<LengthIssue> = {
  'length-empty': ({ unit }) => `Nothing is written here. A length was expected, such as ${EXAMPLE[unit]}.`,
  'length-too-long': () => 'That is too long to be a length.',
  'length-word': ({ f, unit }) =>
    `“${f.read}” is not a unit or a number. A length was expected, such as ${EXAMPLE[unit]}.`,
  'length-sign': ({ f, unit }) =>
    `The sign “${f.read}” has no place in a length. Expected something like ${EXAMPLE[unit]}.`,
  'length-two-numbers': ({ f }) =>
    `Two numbers stand side by side at “${f.read}”. Write a fraction such as 10 3/8, or a + between them.`,
  'length-two-units': ({ f }) => `There is one unit too many at “${f.read}”.`,
  'length-improper': ({ f }) => `After a whole number the fraction must be less than one; ${f.read} is not.`,
  'length-inches-many': ({ f }) => `After feet come fewer than 12 inches; ${f.read} are not.`,
  'length-over-zero': () => 'Something is divided by zero here.',
  'length-product': () => 'A length times a length is an area. A length was expected.',
  'length-divided': () => 'A length can be divided by a number, not by a length.',
  'length-bracket': () => 'A bracket is open or closed without its other half.',
  'length-unfinished': ({ f }) => `“${f.typed}” stops before it is finished.`,
  'length-unexpected': ({ f }) => `“${f.read}” stands where a number was expected.`,
  'length-negative': ({ f }) => `“${f.typed}” comes out below zero. A size is more than zero.`,
  'length-zero': ({ f }) => `“${f.typed}” comes out as nothing. A size is more than zero.`,
  'length-too-big': ({ f }) => `“${f.typed}” is more than 10 m, longer than anything here can be.`,
};
