import type * as THREE from 'three';
import type { Point } from '../../api/types';

/** Moves the corners of the far face, at depth 0 of the extrusion, to where bevelled edges have them. */
export function bevel(geometry: THREE.BufferGeometry, outline: Point[], inside: Point[]): void {
  const places = geometry.getAttribute('position');
  for (let i = 0; i < places.count; i++) {
    if (places.getZ(i) > 1e-6) continue;
    const at = outline.findIndex(([x, y]) => Math.hypot(x - places.getX(i), y - places.getY(i)) < 1e-3);
    const to = inside[at];
    if (to !== undefined) places.setXY(i, to[0], to[1]);
  }
  geometry.computeVertexNormals();
}
