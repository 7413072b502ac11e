/** What is wrong with a line of a supplier’s list. */
import type { ListIssue } from '@/core/issue-codes';
import { type Sentences } from './sentence';

export const LIST: Sentences<ListIssue> = {
  'list-nothing': () => 'The file is empty.',
  'list-binary': () => 'This is not a text file. Save the list as CSV first.',
  'list-workbook': () => 'This workbook cannot be read. Save it anew as .xlsx, without a password, or as CSV.',
  'list-columns': ({ f }) => `The first row must name the columns. Missing: ${f.missing}.`,
  'list-column-twice': ({ f }) => `The column ${f.column} is there twice.`,
  'list-rows': ({ f }) => `${f.rows} rows are more than the ${f.most} that are read at once. Split the file.`,
  'list-quotes': ({ f }) => `A quotation mark near row ${f.row} is never closed.`,
  'list-fields': ({ f }) => `${f.found} fields; the first row names ${f.wanted}.`,
  'list-empty': () => 'nothing is written',
  'list-long': ({ f }) => `${f.length} letters; at most ${f.most}`,
  'list-formula': ({ f }) => `“${f.read}” begins like a formula, which a spreadsheet would run`,
  'list-code': ({ f }) => `“${f.read}” holds more than letters, digits, . - / and spaces`,
  'list-choice': ({ f }) => `“${f.read}” is not one of ${f.allowed}`,
  'list-colour': ({ f }) => `“${f.read}” is not a colour like #8a6f4d`,
  'list-cost': ({ f }) => `“${f.read}” is not a cost like 4.20`,
  'list-rabbet-wide': () => 'not narrower than the face',
  'list-rabbet-deep': () => 'not less than the height',
  'list-code-case': ({ f }) => `${f.code} is ${f.known} in the books; write it the same way`,
  'list-code-twice': ({ f }) => `${f.code} stands in row ${f.row} already`,
  'list-refused': ({ f }) =>
    `${f.rows} rows are refused, the first is row ${f.first}. Nothing was imported; mend the file and choose it again.`,
  'list-unchanged': () => 'The list holds nothing new; nothing was imported.',
  'books-stale': () => 'The books were changed meanwhile. Look at the preview again.',
  'file-too-large': ({ f }) =>
    `${f.name} is ${f.megabytes} MB. A list may be up to 2 MB (some ten thousand mouldings); nothing was read.`,
};
