'use client';
/**
 * A scene without figures, drawn as one piece of markup: where several change with every key, as when designs are
 * compared, a browser reads it faster than React walks through some hundred shapes.
 */
import { memo, useMemo } from 'react';
import type { Scene } from '@/core/drawing/scene';
import { PHOTOS, sceneMarkup } from './scene-markup';

interface Props {
  readonly scene: Scene;
  readonly scale: number;
  readonly label: string;
  /** Tells this drawing's parts from those of others on the page. */
  readonly name: string;
  /** Where its photos are read. */
  readonly photosAt?: string;
}

export const FlatScene = memo(function FlatScene({ scene, scale, label, name, photosAt = PHOTOS }: Props) {
  const html = useMemo(() => sceneMarkup(scene, scale, name, photosAt), [scene, scale, name, photosAt]);
  return (
    <svg
      width={scene.width * scale}
      height={scene.height * scale}
      role="img"
      aria-label={label}
      overflow="visible"
      dangerouslySetInnerHTML={{ __html: html }}
    />
  );
});
