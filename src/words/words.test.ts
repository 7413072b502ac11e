import fs from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { BUILDS, BUILD_CODES } from '@/core/builds';
import { HARDWARE } from '@/core/builds/build';
import { PIECE_KINDS } from '@/core/design/choices';
import { MATTERS, PRACTICES } from '@/core/parts/practice';
import { CHECK_POINTS, STATIONS, STEPS, STEP_RULES } from '@/core/route/steps';
import { JOB_STATES } from '@/core/route/state';
import { inches, mm } from '@/core/units/length';
import { pointName, stepName } from './bench';
import { stateName } from './states';
import { stationName, stepDone } from './stations';
import type { IssueCode } from '@/core/issue-codes';
import { wordedReasons } from './issues/reasons';
import { sayCaution, sayIssue } from './issues';
import { buildName, choiceName } from './builds';
import { fieldName, matterName, practiceName } from './build-parts';
import { HARDWARE_NAMES } from './hardware';
import { KIND_NAMES, dayName } from './materials';

const sources = (folder: string): string[] =>
  fs.readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) return sources(file);
    return /\.tsx?$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name) ? [fs.readFileSync(file, 'utf8')] : [];
  });
const text = sources('src').join('\n');
const found = (pattern: RegExp) => [...new Set([...text.matchAll(pattern)].map((match) => match[1]!))];

describe('words', () => {
  it('has words for every reason that a schema or a reader gives as a code', () => {
    const given = [
      ...found(/reason: '([a-z]+(?:-[a-z]+)+)'/g),
      ...found(/refine\([^;]*?'([a-z]+(?:-[a-z]+)+)'/g),
      ...found(/regex\([^;]*?'([a-z]+(?:-[a-z]+)+)'/g),
    ];
    expect(given.length).toBeGreaterThan(8);
    expect(given.filter((code) => !wordedReasons.includes(code))).toEqual([]);
  });

  it('names every step, station, state and point', () => {
    const bare = (names: readonly string[], say: (key: string) => string) => names.filter((name) => say(name) === name);
    expect(bare(STEPS, stepName)).toEqual([]);
    expect(
      bare(
        STEPS.filter((step) => step !== 'hand-over'),
        stepDone,
      ),
    ).toEqual([]);
    expect(bare(STATIONS, stationName)).toEqual([]);
    expect(bare(JOB_STATES, stateName)).toEqual([]);
    expect(
      bare([...Object.keys(CHECK_POINTS), ...STEPS.flatMap((step) => STEP_RULES[step].lookAt)], pointName),
    ).toEqual([]);
  });

  it('names every build, its fields and choices, every part of hardware and every practice', () => {
    const bare = (names: readonly string[], say: (key: string) => string | undefined) =>
      names.filter((name) => (say(name) ?? name) === name);
    const fields = BUILD_CODES.flatMap((code) => Object.entries(BUILDS[code].fields));
    expect(bare(BUILD_CODES, buildName)).toEqual([]);
    expect(
      bare(
        fields.filter(([, field]) => field.kind !== 'size').map(([key]) => key),
        fieldName,
      ),
    ).toEqual([]);
    expect(
      bare(
        fields.flatMap(([, field]) => (field.kind === 'choice' ? field.of : [])),
        choiceName,
      ),
    ).toEqual([]);
    expect(bare(HARDWARE, (key) => HARDWARE_NAMES[key])).toEqual([]);
    expect(bare(MATTERS, matterName)).toEqual([]);
    expect(
      bare(
        MATTERS.flatMap((matter) => [...PRACTICES[matter]]),
        practiceName,
      ),
    ).toEqual([]);
    expect(bare(PIECE_KINDS, (key) => KIND_NAMES[key])).toEqual([]);
  });

  it('says lengths in the unit in force, depths a little finer, money as money', () => {
    expect(sayCaution('stick-too-short', { leg: inches(30), stick: inches(28), trim: mm(10) }, 'in')).toBe(
      'The longest leg is 30 in; a stick is 28 in less 25/64 in at each end.',
    );
    expect(sayCaution('depth-tight', { room: mm(1.8), wanted: mm(3) }, 'in')).toBe(
      'Fits with 1/16 in to spare; points want 1/8 in.',
    );
    expect(sayCaution('depth-tight', { room: mm(1.8), wanted: mm(3) }, 'mm')).toBe(
      'Fits with 1.8 mm to spare; points want 3 mm.',
    );
    expect(sayIssue({ code: 'payment-above-balance', figures: { amount: 10_000, balance: 9284 } }, 'in')).toBe(
      '100.00 is more than the balance of 92.84.',
    );
    expect(sayIssue({ code: 'constructor' as IssueCode, figures: {} }, 'in')).toBe('constructor');
  });

  it('says days as people do', () => {
    expect([dayName('2026-12-03'), dayName('2027-01-01', 2026), dayName('2028-02-29')]).toEqual([
      'Thu 3 Dec',
      'Fri 1 Jan 2027',
      'Tue 29 Feb',
    ]);
  });
});
