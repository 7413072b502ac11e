import fs from 'node:fs';
import path from 'node:path';
import * as fontkit from 'fontkit';
import { describe, expect, it } from 'vitest';
import { openTypeOf } from './woff';

const folder = 'node_modules/@fontsource/alegreya-sans/files';
const files = fs.readdirSync(folder).filter((name) => /-(500|700|800)-normal\.woff$/.test(name));

describe('a font out of its web package', () => {
  it.each(files)('has the letters, widths and outlines of %s', (name) => {
    const woff = fs.readFileSync(path.join(folder, name));
    const [packed, plain] = [woff, openTypeOf(woff)].map((bytes) => fontkit.create(bytes) as fontkit.Font);
    expect(plain!.characterSet).toEqual(packed!.characterSet);
    const text = String.fromCodePoint(...packed!.characterSet.slice(0, 60));
    expect(plain!.layout(text).advanceWidth).toBe(packed!.layout(text).advanceWidth);
    for (const sign of packed!.characterSet.slice(0, 20))
      expect(plain!.glyphForCodePoint(sign).path.toSVG()).toBe(packed!.glyphForCodePoint(sign).path.toSVG());
  });

  it('is nothing else: another file is refused', () => {
    for (const other of [Buffer.alloc(0), Buffer.from('wOF2'.padEnd(60)), Buffer.alloc(100)])
      expect(() => openTypeOf(other)).toThrow(RangeError);
  });
});
