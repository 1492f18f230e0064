import type { Json, Point } from './types';

export interface Clearance {
  kind: 'side' | 'height' | 'neighbour' | 'road' | 'track' | 'obstacle' | 'lift' | 'run';
  code: string;
  with: string;
  piece: string;
  left_mm: number;
  fits: boolean;
  line: [Point, Point] | null;
  text: string;
  path: string;
  sums: string[];
}

/** The place on the layout, in its own axes, and what is left round the finished building. */
export interface PlotView {
  fits: boolean;
  extents: { x0: number; x1: number; y0: number; y1: number; high: number };
  /** How far to the right and to the back it fits; null where moving does not help. */
  move: Point | null;
  clearances: Clearance[];
  outline: Point[];
  edges: { name: string; middle: Point; wanted: number; backscene: boolean; line: [Point, Point] }[];
  walls: Point[][];
  roofs: Point[][];
  neighbours: { id: string; name: string; ring: Point[] }[];
  roads: { id: string; name: string; rings: Point[][] }[];
  tracks: { id: string; name: string; middle: Point[]; left: Point[][]; right: Point[][] }[];
  obstacles: { id: string; name: string; rings: Point[][] }[];
  eye: { left: Point; right: Point; height: number } | null;
}

export interface ScaleRow {
  scale: string;
  ratio: number;
  here: boolean;
  percent: number;
  card_real: string;
  figure_mm: number;
  size: { width: number; depth: number; height: number } | null;
  fits: boolean | null;
  /** There is room, only not where it stands. */
  moved: boolean;
  fit: string | null;
  fine: string[];
  doors: { style: string; mm: number; figures: number }[];
  faults: string[];
}

export interface Perspective {
  path: string;
  name: string;
  vanishing_mm: number;
  back_scale: number;
  back_ratio: number;
  rise_mm: number;
  limit_mm: number;
  strong: boolean;
  depths: { apparent_mm: number; true_mm: number; scale: number }[];
  pieces: { label: string; name: string; front_mm: number; back_mm: number; long_mm: number; other_mm: number }[];
  texts: string[];
}

/** Shapes and lines of sight: in plan, or depth and height. */
export interface SightPicture {
  shapes: { kind: string; ring: Point[] }[];
  lines: { key: string; from: Point; to: Point; limit: boolean; text: string }[];
  eyes: { at: Point; text: string }[];
}

export interface ReliefRow {
  school: string;
  costs: string;
  chosen: boolean;
  refused: string | null;
  top_mm: number | null;
  off_mm: number | null;
  /** Against what it is, and what stands beside it. */
  heights: string[];
  slopes: { name: string; pitch: string; slope_mm: number }[];
  lost: string[];
  view: { kind: 'wall' | 'roof'; ring: Point[] }[];
}

export interface ReliefTable {
  depth_mm: number;
  whole_mm: number;
  half_bricks: number;
  even: number[];
  rows: ReliefRow[];
}

export interface ScaleTable {
  here: number;
  rows: ScaleRow[];
  scaled: { what: string; mm: string }[];
  kept: { what: string; mm: string }[];
}

/** Of the building's own axes. */
export type Direction = 'across' | 'deep' | 'high';

export interface CompromiseRow {
  key: string;
  title: string;
  /** Which is drawn. */
  wall: string;
  steps: { [key: string]: Json }[];
  costs: string[];
  harm: number;
  protected: boolean;
  finished: Record<Direction, number> | null;
  /** By how much it is still too large, where it is worst. */
  over_mm: number;
  closes: boolean;
  refused: string | null;
  view: { kind: 'wall' | 'opening'; ring: Point[] }[];
  ghost: { kind: 'wall' | 'opening'; ring: Point[] }[];
}

export interface Compromises {
  now: Record<Direction, number>;
  to: Record<Direction, number | null>;
  /** Whether that is what the plot has room for. */
  of_plot: boolean;
  /** What has to go, in reality. */
  missing: Partial<Record<Direction, string>>;
  room: { direction: 'across' | 'deep'; wall: string; name: string; most: string }[];
  rows: CompromiseRow[];
  /** In plan, as it is modelled and as it is. */
  plan: { kind: 'wall' | 'opening'; ring: Point[] }[];
  ghost: { kind: 'wall' | 'opening'; ring: Point[] }[];
  differences: { what: string; real: string; modelled: string }[];
}

export interface SeenFace {
  kind: 'wall' | 'roof';
  key: string;
  name: string;
  path: string;
  share: number;
  degrees: number;
  treat: string;
  wants: 'full' | 'plain' | 'omit';
}

export interface Sight {
  faces: SeenFace[];
  lines: { key: string; shows: boolean; text: string }[];
  perspectives: Perspective[];
  view: { plan: SightPicture; section: SightPicture } | null;
}
