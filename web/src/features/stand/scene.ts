import * as THREE from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Point, Stand, StandPiece } from '../../api/types';
import { type Colour, colour } from '../../drawing/colours';
import { boundsOf } from '../../drawing/geometry';
import { Bench, keepIn } from './bench';
import { bevel } from './bevel';
import { printed } from './print';
import { rims } from './rims';

/** Colours of stocks as they look on the bench. */
const STOCKS: [RegExp, Colour][] = [
  [/^acetate/, 'acetate'],
  [/^styrene/, 'styrene'],
  [/^(grey|corrugated)/, 'greyboard'],
  [/^(paper|label)/, 'paper-stock'],
  [/^card/, 'card-stock'],
];
const PAPERS_MS = 1000;
/** So much of the picture is filled. */
const FILLED = 0.94;

interface Standing {
  piece: StandPiece;
  group: THREE.Group;
  /** Where it stands while nothing is pulled apart. */
  box: THREE.Box3;
  faces: THREE.MeshStandardMaterial;
  sides: THREE.MeshStandardMaterial;
  /** Drawn only while it is chosen: card has no outlines. */
  edges: THREE.LineBasicMaterial;
  /** All that it is made of, to tell whether it is still the same after an edit. */
  fingerprint: string;
}

export interface SceneOptions {
  /** Pictures of what is printed on parts, by their ids. */
  faces: (revision: number, parts: readonly string[]) => Promise<Readonly<Record<string, string | undefined>>>;
  onPick: (key: string | null) => void;
}

/** The kit in space. Draws only when something changes, and frees all that it made. */
export class StandScene {
  readonly #renderer: THREE.WebGLRenderer;
  readonly #scene = new THREE.Scene();
  readonly #camera = new THREE.PerspectiveCamera(24, 1, 1, 20000);
  readonly #controls: OrbitControls;
  #standing: Standing[] = [];
  readonly #bench = new Bench();
  /** What is turned about, wherever things have been taken. */
  readonly #middle = new THREE.Vector3();
  readonly #section = new THREE.Plane(new THREE.Vector3(0, 1, 0), 0);
  readonly #observer: ResizeObserver;
  readonly #centre = new THREE.Vector3();
  #phases: string[] = [];
  #isGone = false;
  #frame: number | null = null;
  #papers: ReturnType<typeof setTimeout> | null = null;
  #apart = 0;
  #stand: Stand;
  #down: readonly [number, number] | null = null;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    stand: Stand,
    private readonly options: SceneOptions,
  ) {
    this.#stand = stand;
    this.#renderer = new THREE.WebGLRenderer({ canvas, antialias: true });
    this.#renderer.setClearColor(colour('backdrop'));
    this.#renderer.shadowMap.enabled = true;
    this.#renderer.shadowMap.type = THREE.PCFShadowMap;
    this.#scene.add(this.#bench);
    this.#camera.up.set(0, 0, 1);
    this.#controls = new OrbitControls(this.#camera, canvas);
    this.#controls.addEventListener('change', this.draw);
    canvas.addEventListener('pointerdown', this.#onDown);
    canvas.addEventListener('pointerup', this.#onUp);
    this.#observer = new ResizeObserver(() => this.#resize());
    this.#observer.observe(canvas);
    this.update(stand);
    this.#resize();
    this.look();
  }

  /** Another state of the kit: pieces that are the same stay, and so does the view. */
  update(stand: Stand): void {
    this.#stand = stand;
    const [x0, x1, y0, y1, z0, z1] = stand.box;
    this.#centre.set((x0 + x1) / 2, (y0 + y1) / 2, (z0 + z1) / 2);
    this.#bench.round(this.#centre, Math.hypot(x1 - x0, y1 - y0, z1 - z0), z0);
    this.#phases = stand.phases
      .map((phase) => phase.key)
      .filter((key) => stand.pieces.some((piece) => piece.phase === key));
    const made: Standing[] = [];
    const before = new Map(this.#standing.map((one) => [one.piece.key, one]));
    this.#standing = stand.pieces.map((piece) => {
      const fingerprint = JSON.stringify(piece);
      const known = before.get(piece.key);
      if (known?.fingerprint !== fingerprint) {
        const one = this.#build(piece, fingerprint);
        made.push(one);
        return one;
      }
      before.delete(piece.key);
      return known;
    });
    for (const gone of before.values()) this.#remove(gone);
    void this.#print(made.filter((one) => one.piece.art));
    this.draw();
  }

  /** From the front left and above, all of it in view. */
  look(): void {
    const [x0, x1, y0, y1, z0, z1] = this.#stand.box;
    const towards = new THREE.Vector3(-0.42, -1, 0.42).normalize();
    const right = new THREE.Vector3(0, 0, 1).cross(towards).normalize();
    const up = towards.clone().cross(right);
    const high = Math.tan(THREE.MathUtils.degToRad(this.#camera.fov / 2)) * FILLED;
    const wide = high * this.#camera.aspect;
    let far = 0;
    for (const x of [x0, x1])
      for (const y of [y0, y1])
        for (const z of [z0, z1]) {
          const corner = new THREE.Vector3(x, y, z).sub(this.#centre);
          const off = Math.max(Math.abs(corner.dot(right)) / wide, Math.abs(corner.dot(up)) / high);
          far = Math.max(far, off + corner.dot(towards));
        }
    this.#camera.position.copy(this.#centre).addScaledVector(towards, far);
    this.#middle.copy(this.#centre);
    this.#aim(this.#centre);
    keepIn(this.#camera, this.#boxes(), FILLED);
    this.draw();
  }

  /** As the operator sees it: from the plot's eye, so far along its travel (−1 to 1). */
  lookFromEye(along: number): void {
    const eye = this.#stand.eye;
    if (eye === null) return;
    this.#camera.zoom = 1;
    this.#camera.updateProjectionMatrix();
    const at = new THREE.Vector3(...eye.at).addScaledVector(new THREE.Vector3(...eye.along), eye.travel * along);
    this.#camera.position.copy(at);
    this.#aim(new THREE.Vector3(...eye.looks));
  }

  /** From 0, all together, to 1, all apart; what is fixed last comes off first. */
  pullApart(apart: number): void {
    for (const one of this.#standing) {
      const by = Math.max(
        0,
        Math.min(1, apart * this.#phases.length - (this.#phases.length - 1 - this.#phases.indexOf(one.piece.phase))),
      );
      one.group.position.set(...one.piece.away).multiplyScalar(by);
    }
    this.#bench.lower(-Math.min(0, ...this.#standing.map((one) => one.group.position.z)));
    // Who has come nearer stays there while the kit changes: the view follows only what is pulled.
    if (apart !== this.#apart) this.#follow();
    this.#apart = apart;
    this.draw();
  }

  /** Turns the view to the middle of where everything has been taken, with all of it in the picture. */
  #follow(): void {
    const boxes = this.#boxes();
    const around = boxes.reduce((all, box) => all.union(box), new THREE.Box3());
    const by = around.getCenter(new THREE.Vector3()).sub(this.#middle);
    this.#middle.add(by);
    this.#camera.position.add(by);
    this.#controls.target.add(by);
    this.#controls.update();
    keepIn(this.#camera, boxes, FILLED);
  }

  /** Where every piece is now. */
  #boxes(): THREE.Box3[] {
    return this.#standing.map(({ box, group }) => box.clone().translate(group.position));
  }

  show(isShown: (piece: StandPiece) => boolean): void {
    for (const one of this.#standing) one.group.visible = isShown(one.piece);
    this.draw();
  }

  /** Cuts away what lies in front of a plane, from 0 (nothing) to 1 (all), seen from the front. */
  cut(depth: number): void {
    const [, , y0, y1] = this.#stand.box;
    this.#section.constant = -(y0 + (y1 - y0) * depth);
    this.#renderer.clippingPlanes = depth > 0 ? [this.#section] : [];
    this.draw();
  }

  choose(key: string | null): void {
    for (const one of this.#standing) {
      const isChosen = one.piece.key === key;
      for (const drawn of one.group.children) if (drawn instanceof THREE.LineSegments) drawn.visible = isChosen;
      one.faces.emissive.set(isChosen ? colour('glow') : 'black');
    }
    this.draw();
  }

  /** Turns about the building by degrees, and nearer or further by a factor. */
  orbit(across: number, up: number, nearer = 1): void {
    const target = this.#controls.target;
    const arm = this.#camera.position.clone().sub(target);
    arm.applyAxisAngle(new THREE.Vector3(0, 0, 1), THREE.MathUtils.degToRad(across));
    const side = new THREE.Vector3().crossVectors(arm, this.#camera.up).normalize();
    const raised = arm.clone().applyAxisAngle(side, THREE.MathUtils.degToRad(up));
    if (Math.abs(raised.clone().normalize().z) < 0.99) arm.copy(raised);
    this.#camera.position.copy(target).addScaledVector(arm, nearer);
    this.#controls.update();
    this.draw();
  }

  picture(done: (blob: Blob | null) => void): void {
    this.#render();
    this.canvas.toBlob(done, 'image/png');
  }

  /** Papers come one after the other: all of a second are drawn together. */
  #come(): void {
    this.#papers ??= setTimeout(() => {
      this.#papers = null;
      this.draw();
    }, PAPERS_MS);
  }

  /** Whatever asks for it, it is drawn once a frame. */
  readonly draw = (): void => {
    this.#frame ??= requestAnimationFrame(() => this.#render());
  };

  #render(): void {
    if (this.#frame !== null) cancelAnimationFrame(this.#frame);
    this.#frame = null;
    this.#renderer.render(this.#scene, this.#camera);
  }

  dispose(): void {
    this.#isGone = true;
    if (this.#frame !== null) cancelAnimationFrame(this.#frame);
    if (this.#papers !== null) clearTimeout(this.#papers);
    this.#observer.disconnect();
    this.#controls.dispose();
    this.canvas.removeEventListener('pointerdown', this.#onDown);
    this.canvas.removeEventListener('pointerup', this.#onUp);
    for (const one of this.#standing) this.#remove(one);
    this.#bench.dispose();
    this.#renderer.dispose();
  }

  #remove(one: Standing): void {
    this.#scene.remove(one.group);
    for (const drawn of one.group.children) {
      if (drawn instanceof THREE.Mesh || drawn instanceof THREE.LineSegments) (drawn as THREE.Mesh).geometry.dispose();
    }
    one.faces.map?.dispose();
    for (const material of [one.faces, one.sides, one.edges]) material.dispose();
  }

  #aim(at: THREE.Vector3): void {
    this.#controls.target.copy(at);
    this.#controls.update();
    this.draw();
  }

  #resize(): void {
    const { clientWidth: w, clientHeight: h } = this.canvas;
    if (w === 0 || h === 0) return;
    this.#renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    this.#renderer.setSize(w, h, false);
    this.#camera.aspect = w / h;
    this.#camera.updateProjectionMatrix();
    this.draw();
  }

  #build(piece: StandPiece, fingerprint: string): Standing {
    const isClear = piece.stock.startsWith('acetate');
    const own = colour(STOCKS.find(([pattern]) => pattern.test(piece.stock))?.[1] ?? 'other-stock');
    const faces = new THREE.MeshStandardMaterial({
      color: own,
      roughness: isClear ? 0.25 : 0.95,
      side: THREE.DoubleSide,
      ...(isClear ? { transparent: true, opacity: 0.45 } : {}),
      // Papers lie on card; what lies in one plane would flicker.
      ...(piece.group === 'skin' ? { polygonOffset: true, polygonOffsetFactor: -1, polygonOffsetUnits: -1 } : {}),
    });
    const sides = new THREE.MeshStandardMaterial({ color: own, roughness: 0.95, side: THREE.DoubleSide });
    const edges = new THREE.LineBasicMaterial({ color: colour('brick') });
    const group = new THREE.Group();
    for (const facet of piece.facets) {
      const shape = new THREE.Shape(facet.outline.map(vector));
      shape.holes = facet.holes.map((hole) => new THREE.Path(hole.map(vector)));
      const geometry = new THREE.ExtrudeGeometry(shape, { depth: piece.thickness, bevelEnabled: false });
      if (facet.inside !== null) bevel(geometry, facet.outline, facet.inside);
      geometry.translate(0, 0, -piece.thickness);
      const x = new THREE.Vector3(...facet.x);
      const y = new THREE.Vector3(...facet.y);
      const matrix = new THREE.Matrix4().makeBasis(x, y, new THREE.Vector3().crossVectors(x, y));
      matrix.setPosition(...facet.origin);
      geometry.applyMatrix4(matrix);
      // From the outlines: what edges a triangulation has between holes is no arris.
      const arrises = new THREE.BufferGeometry();
      arrises.setAttribute('position', new THREE.Float32BufferAttribute(rims(facet, piece.thickness), 3));
      arrises.applyMatrix4(matrix);
      const mesh = new THREE.Mesh(geometry, [faces, sides]);
      mesh.userData = { key: piece.key };
      mesh.castShadow = !isClear;
      mesh.receiveShadow = true;
      const lines = new THREE.LineSegments(arrises, edges);
      lines.visible = false;
      group.add(mesh, lines);
    }
    this.#scene.add(group);
    const box = new THREE.Box3().setFromObject(group);
    if (piece.tone !== null) faces.color.set(piece.tone);
    return { piece, group, box, faces, sides, edges, fingerprint };
  }

  /** Lays their own prints on papers that are new; all pictures come in one answer. */
  async #print(papers: readonly Standing[]): Promise<void> {
    if (papers.length === 0) return;
    const parts = [...new Set(papers.map((one) => one.piece.part))];
    // Without an answer they keep their tones.
    const pictures = await this.options.faces(this.#stand.revision, parts).catch((): Record<string, string> => ({}));
    for (const one of this.#isGone ? [] : papers) {
      const picture = pictures[one.piece.part];
      if (picture !== undefined) this.#lay(one, picture);
    }
  }

  /** Its facets carry the coordinates of the whole sheet. */
  #lay({ piece, faces }: Standing, picture: string): void {
    const bounds = boundsOf(piece.facets.map((facet) => facet.outline));
    printed(picture, [bounds.x1 - bounds.x0, bounds.y1 - bounds.y0], (texture) => {
      // Courses seen aslant stay courses.
      texture.anisotropy = this.#renderer.capabilities.getMaxAnisotropy();
      faces.map = texture;
      faces.color.set(colour('paper'));
      faces.needsUpdate = true;
      this.#come();
    });
  }

  readonly #onDown = (event: PointerEvent): void => {
    this.#down = [event.clientX, event.clientY];
  };

  /** A press that did not turn the view picks what it met. */
  readonly #onUp = (event: PointerEvent): void => {
    const [x, y] = this.#down ?? [Infinity, Infinity];
    this.#down = null;
    if (Math.hypot(event.clientX - x, event.clientY - y) > 4) return;
    const box = this.canvas.getBoundingClientRect();
    const at = new THREE.Vector2(
      ((event.clientX - box.left) / box.width) * 2 - 1,
      1 - ((event.clientY - box.top) / box.height) * 2,
    );
    const ray = new THREE.Raycaster();
    ray.setFromCamera(at, this.#camera);
    const shown = this.#standing.filter((one) => one.group.visible).map((one) => one.group);
    const planes = this.#renderer.clippingPlanes;
    const hit = ray
      .intersectObjects(shown, true)
      .find(
        (one) => one.object instanceof THREE.Mesh && planes.every((plane) => plane.distanceToPoint(one.point) >= 0),
      );
    const key: unknown = hit?.object.userData.key;
    this.options.onPick(typeof key === 'string' ? key : null);
  };
}

function vector([x, y]: Point): THREE.Vector2 {
  return new THREE.Vector2(x, y);
}
