import type { PlotView } from './plot';

/** What the server answers; docs/api.md describes each. Lengths in millimetres, worked out on the server. */

export type Point = readonly [number, number];

export interface Size {
  real_mm: number;
  model_mm: number;
  imperial: string;
  metric: string;
  model: string;
}

export interface User {
  id: number;
  name: string;
  email: string;
  units: Units;
  is_demo: boolean;
}

export type Units = 'imperial' | 'metric';

export interface Account {
  user: User | null;
  demo: boolean;
}

export interface ProjectSummary {
  id: string;
  name: string;
  updated_at: string;
  buildings: { id: string; name: string; revision: number; updated_at: string }[];
}

export interface Problem {
  path: string;
  code: string;
  text: string;
}

export interface Workings {
  of: string;
  mm: number;
  steps: { op: string; by?: number; mm: number; text: string; from?: string }[];
}

export interface Part {
  id: string;
  label: string;
  name: string;
  group: string;
  stock: string;
  thickness: number;
  qty: number;
  like: string | null;
  mirror_of: string | null;
  outline: Point[];
  workings: Workings[];
}

export interface Check {
  code: string;
  level: 'ok' | 'note' | 'warn' | 'stop';
  at: string;
  text: string;
  mm: number | null;
}

export interface Sheet {
  id: string;
  stock: string;
  size: [number, number];
  template: boolean;
  mirrored: boolean;
  parts: { part: string; copy: number }[];
  order: { what: string; part: string; copy: number }[];
}

export interface Opening {
  key: string;
  id: string;
  copy: number;
  count: number;
  style: string;
  kind: 'window' | 'door' | 'open';
  path: string;
  style_path: string;
  left: Size;
  sill: Size;
  width: Size;
  height: Size;
  rise: Size | null;
  pitch: Size | null;
  ring: Point[];
  panes: Point[][];
}

export interface ChainLink {
  from: number;
  to: number;
  opening: string | null;
  size: Size;
  bricks: string;
}

export interface Wall {
  /** `block.edge` */
  key: string;
  block: string;
  edge: string;
  title: string;
  path: string;
  finish: string;
  shows_courses: boolean;
  step: { along_mm: number; up_mm: number };
  length: Size;
  height: Size;
  apex: Size | null;
  /** What of it is built. */
  outlines: Point[][];
  /** What would stand there were no other block in the way. */
  whole: Point[];
  parts: string[];
  openings: Opening[];
  chains: ChainLink[][];
  /** Lines printed on it: where lower roofs meet it, its plinth, the ground. */
  marks: { path: Point[]; text: string }[];
  ends: WallCorner[];
}

/** How a wall ends at a corner of the footprint, and what the document says of that. */
export interface WallCorner {
  end: 'left' | 'right';
  vertex: number;
  name: string | null;
  angle: string;
  kind: 'through' | 'stopped' | 'mitre' | 'open' | 'straight';
  /** The wall round the corner. */
  other: string;
  said: '' | 'through' | 'stopped' | 'mitre';
}

export interface Cut2D {
  rings: { name: string; part: string; ring: Point[] }[];
  bounds: [number, number, number, number];
}

export interface Section extends Cut2D {
  eaves: Size;
  ridge: Size;
  rise: Size;
  reach: Size;
  pitch: string;
  note: string;
}

export type EdgeKind = 'gable' | 'hip' | 'half-hip' | 'wall';

export interface PlanEdge {
  name: string;
  key: string;
  from: Point;
  to: Point;
  length: Size;
  roof: EdgeKind;
  pitch: string;
  overhang: Size;
}

export interface PlanBlock {
  id: string;
  name: string;
  path: string;
  ring: Point[];
  edges: PlanEdge[];
  at: [Size, Size];
  turn: number;
  eaves: Size;
  base: Size;
  roof: { kind: string; pitch: string };
}

export interface RoofLine {
  kind: string;
  from: Point;
  to: Point;
  length: Size;
  fold: string | null;
  workings: Workings;
}

export interface RoofPanel {
  part: string;
  name: string;
  block: string;
  pitch: string;
  plan: Point[];
  outline: Point[];
  holes: Point[][];
  edges: { name: string; length: Size; angle: string }[];
  workings: Workings[];
}

export interface StockView {
  id: string;
  kind: string;
  thickness: string;
  measured: boolean;
  with_template: string;
  pieces: number;
}

export interface View {
  scale: string;
  rule: { foot_mm: number; metre_mm: number };
  walls: Wall[];
  plan: {
    blocks: PlanBlock[];
    walls: { key: string; edge: string; ring: Point[]; openings: Point[][]; length: Size }[];
    braces: Point[][];
    gaps: { from: Point; to: Point; between: [string, string]; size: Size }[];
  };
  roof: { lines: RoofLine[]; panels: RoofPanel[]; area_mm2: number };
  section: Section;
  skin: { brick: string; mortar: string };
  stocks: StockView[];
}

export interface DocketEntry {
  key: string;
  over: string;
  text: string;
  state: 'fits' | 'look' | 'stop' | 'plain';
}

export interface Derived {
  kit: { parts: Part[]; checks: Check[]; sheets: Sheet[]; totals: { parts: number; sheets: number } };
  dry_fit: {
    ok: boolean;
    joints: number;
    pieces: number;
    findings: { code: string; at: string; text: string; mm: number }[];
  };
  plot: PlotView | null;
  view: View;
  docket: DocketEntry[];
  stages: Record<string, string>;
}

export interface Revision {
  number: number;
  summary: string;
  name: string | null;
  /** What was learnt from it. */
  note: string | null;
  kind: 'edit' | 'undo' | 'redo' | 'restore';
  parts_changed: number | null;
  is_sound: boolean;
  at: string;
}

export type Json = null | boolean | number | string | Json[] | { [key: string]: Json | undefined };

export interface BuildingState {
  id: string;
  project_id: string;
  name: string;
  revision: Revision;
  faults: Problem[];
  derived_from: number | null;
  /** What undo would take back and redo bring back, in words. */
  history: { undo: string | null; redo: string | null };
  made: DocketEntry | null;
  document: { [key: string]: Json | undefined };
  derived: Derived | null;
}

/** One thing in which two documents differ; setting `after` at `path` takes it across. */
export interface Difference {
  path: string;
  text: string;
  before: Json;
  after: Json;
  clashes?: boolean;
}

export interface PartChange {
  id: string;
  label: string;
  name: string;
  kind: 'cut' | 'print' | 'both' | 'added' | 'gone';
  mm: number;
  text: string;
  before: Point[][] | null;
  after: Point[][] | null;
}

export interface Conflict {
  message: string;
  base: number;
  theirs: Revision;
  mine: { summary: string; document: { [key: string]: Json | undefined } };
  differences: { theirs: Difference[]; mine: Difference[] };
}

export interface ComparedSide {
  revision: Revision;
  faults: Problem[];
  view: View | null;
}

export interface Comparison {
  from: ComparedSide;
  to: ComparedSide;
  changes: Difference[];
  parts: PartChange[] | null;
}

export type MadeState = 'printed' | 'cut' | 'papered' | 'fixed';

export interface MadePiece {
  part: string;
  copy: number;
  label: string;
  name: string;
  group: string;
  stock: string;
  qty: number;
  state: MadeState | null;
  change: PartChange | null;
}

export interface Made {
  revision: number;
  counts: { pieces: number; printed: number; cut: number; papered: number; fixed: number; stale: number };
  pieces: MadePiece[];
  prints: { revision: number; what: string; pieces: number; at: string }[];
}

export interface JointMeasure {
  id: string;
  kind: string;
  a: string;
  b: string;
  off_mm: number;
  found: string;
  closes: boolean;
  why: string;
  drawing: { met: Point[][]; stands: Point[][]; contact: Point[] } | null;
}

export interface Fit {
  ok: boolean;
  joints: number;
  pieces: number;
  findings: { code: string; at: string; text: string; mm: number }[];
  measures: JointMeasure[];
  free: { part: string; edge: number; name: string; why: string | null; mm: number }[];
}

export type Triple = readonly [number, number, number];

export interface StandPiece {
  key: string;
  part: string;
  copy: number;
  label: string;
  name: string;
  group: string;
  stock: string;
  phase: string;
  layer: string;
  thickness: number;
  art: boolean;
  /** Fingerprint of what is printed on it. */
  print: string;
  /** Which way it comes off, and how far. */
  away: Triple;
  /** Where it stands, in words. */
  stands: string;
  facets: { origin: Triple; x: Triple; y: Triple; outline: Point[]; inside: Point[] | null; holes: Point[][] }[];
}

export interface Stand {
  revision: number;
  box: [number, number, number, number, number, number];
  phases: { key: string; text: string }[];
  /** In the order in which they go together. */
  pieces: StandPiece[];
  joints: [string, string, string][];
  eye: { at: Triple; along: Triple; travel: number; looks: Triple } | null;
}

export interface FoundResult {
  kind: 'length' | 'part' | 'wall' | 'sheet' | 'verb';
  text: string;
  copy?: string;
  to?: { what: 'part' | 'wall' | 'sheet' | 'verb'; id: string };
}

export interface Found {
  results: FoundResult[];
  help: string | null;
}

export interface Mockup {
  revision: number;
  percent: number;
  pages: number;
  nets: { name: string; faces: number; folds: number; tabs: number }[];
}

export interface Cut {
  seconds: number;
  findings: string[];
  /** What the file's own comments say. */
  notes: string[];
  size: [number, number];
  passes: number;
  strokes: { tool: 'score' | 'cut'; passes: number; start_s: number; end_s: number; points: Point[] }[];
}

export type Edit =
  | { op: 'set'; path: string; value: Json }
  | { op: 'move-opening'; wall: string; id: string; bricks?: number; courses?: number }
  | { op: 'add-opening'; wall: string; style?: string }
  | { op: 'copy-opening'; wall: string; id: string }
  | { op: 'repeat-opening'; wall: string; id: string; count: number; pitch?: string }
  | { op: 'remove-opening'; wall: string; id: string }
  | { op: 'add-block'; kind: 'wing' | 'lean-to' | 'dormer' | 'platform' | 'block'; beside?: string }
  | { op: 'remove-block'; block: string }
  | { op: 'move-block'; block: string; x?: number; y?: number; snap?: boolean }
  | { op: 'shape-block'; block: string; shape: string; w?: string; d?: string; a?: string; b?: string; sides?: number }
  | { op: 'turn-outline'; block: string }
  | {
      op: 'corner';
      block: string;
      vertex: number;
      method?: 'butt' | 'mitre' | null;
      through?: 'before' | 'after' | null;
      name?: string | null;
    }
  | { op: 'add-plot' }
  | { op: 'move-on-plot'; x: number; y: number }
  | {
      op: 'roof-edge';
      block: string;
      edge: string;
      kind?: EdgeKind | null;
      pitch?: number | null;
      overhang?: string | null;
      from?: string | null;
    };
