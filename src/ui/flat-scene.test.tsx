// @vitest-environment happy-dom
import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Scene } from '@/core/drawing/scene';
import { FlatScene } from './flat-scene';

const scene = (shapes: Scene['shapes']): Scene => ({ width: 100, height: 50, shapes, about: 'test' });
const drawn = (shapes: Scene['shapes']) => {
  const { container } = render(<FlatScene scene={scene(shapes)} scale={2} label="A frame" name="one" />);
  return container.querySelector('svg')!;
};

describe('a scene in one piece of markup', () => {
  it('has every shape at its scale', () => {
    const svg = drawn([
      {
        kind: 'area',
        points: [
          [0, 0],
          [10, 0],
          [10.004, 5],
        ],
        fill: '#aabbcc',
        line: '#112233',
      },
      {
        kind: 'line',
        points: [
          [1, 1],
          [2, 2],
        ],
        line: '#000000',
        width: 1,
      },
      { kind: 'dot', at: [5, 6], radius: 4, fill: '#ffffff' },
      { kind: 'picture', hash: 'ab12', at: [1, 2], w: 30, h: 40, clip: { x: 2, y: 3, w: 10, h: 12 } },
    ]);
    expect([svg.getAttribute('width'), svg.getAttribute('height'), svg.getAttribute('aria-label')]).toEqual([
      '200',
      '100',
      'A frame',
    ]);
    expect(svg.querySelector('polygon')!.getAttribute('points')).toBe('0,0 20,0 20.01,10');
    expect(svg.querySelector('polygon')!.getAttribute('stroke')).toBe('#112233');
    expect(svg.querySelector('polyline')!.getAttribute('stroke-width')).toBe('1.8');
    expect(svg.querySelector('circle')!.getAttribute('r')).toBe('8');
    const image = svg.querySelector('image')!;
    expect([image.getAttribute('href'), image.getAttribute('width'), image.getAttribute('clip-path')]).toEqual([
      '/api/photos/ab12?size=small',
      '60',
      'url(#one-3)',
    ]);
    expect(svg.querySelector('rect')!.getAttribute('width')).toBe('20');
  });

  it('lets nothing in that is no colour, number or hash', () => {
    const svg = drawn([
      { kind: 'area', points: [[0, 0]], fill: '"/><script>alert(1)</script><a b="' },
      { kind: 'picture', hash: '"onload="alert(1)', at: [0, 0], w: 900, h: 1, clip: { x: 0, y: 0, w: 1, h: 1 } },
    ]);
    expect(svg.querySelector('script')).toBeNull();
    expect(svg.innerHTML).not.toMatch(/onload=|<a /);
    expect(svg.querySelector('image')!.getAttribute('href')).toContain('size=full');
  });
});
