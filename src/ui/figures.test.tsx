import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { exampleDesign, inch, shop } from '../../tests/shop';
import { frontScene } from '@/core/drawing/front';
import { length, mm } from '@/core/units/length';
import { workOut } from '@/core/work-out';
import { FractionText, Len, SizeText } from './figures';
import { SceneSvg } from './scene-svg';

const html = renderToStaticMarkup;
const textOf = (markup: string) => markup.replace(/<[^>]+>/g, '').replace(/\u00a0/g, ' ');

describe('figures', () => {
  it('sets only the fraction as one; the whole number stays outside, and both can be read aloud', () => {
    const markup = html(<Len value={inch('16 7/8')} unit="in" />);
    expect(markup).toContain('16<span class="gap"> </span><span class="frac">7/8</span>');
    expect(textOf(markup)).toBe('16 7/8in');
    expect(html(<Len value={inch('7/8')} unit="in" bare />)).toBe(
      '<span class="len"><span class="frac">7/8</span></span>',
    );
  });

  it('marks a figure whose exact length is a little more or less', () => {
    expect(textOf(html(<Len value={inch('37/64')} unit="in" bare />))).toBe('9/16+');
    expect(textOf(html(<Len value={mm(300)} unit="in" bare />))).toBe('11 13/16−');
    expect(textOf(html(<Len value={inch('37/64')} unit="in" bare fine />))).toBe('37/64');
    expect(textOf(html(<Len value={length(-960)} unit="mm" />))).toBe('−3mm');
    expect(textOf(html(<SizeText of={{ w: mm(210), h: mm(297) }} unit="mm" />))).toBe('210 × 297');
  });

  it('sets the fractions of a sentence and leaves every other slash alone', () => {
    const markup = html(<FractionText text="package 16 3/4 in + allowance 1/8 in, and/or 12/2031" />);
    expect(markup.match(/class="frac"/g)).toHaveLength(3);
    expect(textOf(markup)).toBe('package 16 3/4 in + allowance 1/8 in, and/or 12/2031');
    expect(textOf(html(<FractionText text="<b>3/8</b>" />))).toBe('&lt;b&gt;3/8&lt;/b&gt;');
  });
});

describe('a scene on the screen', () => {
  it('fits its box, keeps its shape, and says the outside in figures', () => {
    const result = workOut(exampleDesign(), shop());
    const scene = frontScene(result.ok ? result.value : (undefined as never));
    const markup = html(<SceneSvg scene={scene} width={400} height={300} label="The piece" />);
    const [, width, height] = /width="([\d.]+)" height="([\d.]+)"/.exec(markup)!.map(Number);
    expect([width! <= 400.001, height! <= 300.001]).toEqual([true, true]);
    expect(width! / height!).toBeCloseTo(scene.width / scene.height, 6);
    expect(markup).toContain('role="img" aria-label="The piece"');
    expect(markup).toMatch(/>18<tspan class="frac" dx="1">7\/8<\/tspan>/);
  });
});
