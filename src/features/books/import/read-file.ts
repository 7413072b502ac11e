/** The cells of a supplier's file: CSV in the encodings that spreadsheets write, or the first sheet of a workbook. */
import { LARGEST_LIST } from '@/contract/limits';
import { type Issue, issue } from '@/core/issue';
import { cellsOf } from '@/core/supplier-list/list';

export type Cells = readonly (readonly string[])[];

/** Spreadsheets write either UTF-8 or the older letters of the west. */
const decoded = (bytes: ArrayBuffer): string => {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
};

const cellText = (value: unknown): string => {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
};

async function workbookCells(bytes: ArrayBuffer): Promise<{ readonly cells: Cells } | { readonly wrong: Issue }> {
  const { default: readWorkbook } = await import('read-excel-file/browser');
  try {
    const [first] = await readWorkbook(bytes);
    const rows = (first?.data ?? []).map((row) => row.map(cellText)).filter((row) => row.some((cell) => cell.trim()));
    return rows.length === 0 ? { wrong: issue('list-nothing') } : { cells: rows };
  } catch {
    return { wrong: issue('list-workbook') };
  }
}

export async function readFile(file: File): Promise<{ readonly cells: Cells } | { readonly wrong: Issue }> {
  if (file.size > LARGEST_LIST)
    return { wrong: issue('file-too-large', { name: file.name, megabytes: (file.size / 1e6).toFixed(1) }) };
  const bytes = await file.arrayBuffer();
  return /\.xlsx$/i.test(file.name) ? workbookCells(bytes) : cellsOf(decoded(bytes));
}
