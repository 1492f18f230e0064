import * as THREE from 'three';
import { colour } from '../../drawing/colours';

const SHADOW_PX = 2048;

/** A lamp over the left shoulder, and the board on which it stands: as large as what stands there. */
export class Bench extends THREE.Group {
  readonly #lamp = new THREE.DirectionalLight(colour('lamp'), 2.3);
  readonly #board = new THREE.Mesh(
    new THREE.PlaneGeometry(1, 1),
    new THREE.MeshStandardMaterial({ color: colour('bench'), roughness: 1 }),
  );
  #foot = 0;

  constructor() {
    super();
    this.add(
      new THREE.HemisphereLight(colour('paper'), colour('shadow'), 2.1),
      this.#lamp,
      this.#lamp.target,
      this.#board,
    );
    this.#lamp.castShadow = true;
    this.#lamp.shadow.mapSize.set(SHADOW_PX, SHADOW_PX);
    this.#lamp.shadow.radius = 5;
    this.#board.receiveShadow = true;
  }

  /** Round what stands from `foot` on about a middle, `size` from corner to corner. */
  round(middle: THREE.Vector3, size: number, foot: number): void {
    this.#foot = foot;
    this.#lamp.position.copy(middle).add(new THREE.Vector3(-0.75, -0.95, 1.35).multiplyScalar(size));
    this.#lamp.target.position.copy(middle);
    const { shadow } = this.#lamp;
    const reach = size * 1.1;
    Object.assign(shadow.camera, { left: -reach, right: reach, top: reach, bottom: -reach, near: 1, far: size * 5 });
    shadow.camera.updateProjectionMatrix();
    shadow.normalBias = size / 900;
    this.#board.scale.setScalar(size * 40);
    this.#board.position.set(middle.x, middle.y, foot - 0.1);
  }

  /** The board under what has been taken down so far. */
  lower(by: number): void {
    this.#board.position.z = this.#foot - 0.1 - by;
  }

  dispose(): void {
    this.#board.geometry.dispose();
    this.#board.material.dispose();
    this.#lamp.dispose();
  }
}

/** Draws a view back as far as it takes for every box to be in the picture, and no farther. */
export function keepIn(camera: THREE.PerspectiveCamera, boxes: readonly THREE.Box3[], filled: number): void {
  camera.zoom = 1;
  camera.updateProjectionMatrix();
  camera.updateMatrixWorld();
  let most = filled;
  const corner = new THREE.Vector3();
  for (const { min, max } of boxes) {
    for (const x of [min.x, max.x])
      for (const y of [min.y, max.y])
        for (const z of [min.z, max.z]) {
          corner.set(x, y, z).project(camera);
          if (corner.z < 1) most = Math.max(most, Math.abs(corner.x), Math.abs(corner.y));
        }
  }
  camera.zoom = filled / most;
  camera.updateProjectionMatrix();
}
