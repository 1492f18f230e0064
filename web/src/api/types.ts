/* Written by bin/types from docs/schema/api.schema.json; change that and run it again. */

/**
 * Across and up, millimetres.
 *
 *
 */
export type Point = readonly [number, number];
export type Ring = Point[];
export type Units = 'imperial' | 'metric';
/**
 * One change of a document; docs/api.md.
 *
 */
export type Edit =
  | {
      op: 'set';
      path: string;
      value: Json;
    }
  | {
      op: 'place-opening';
      wall: string;
      id: string;
      how: 'over' | 'spaces' | 'bricks';
    }
  | {
      op: 'move-opening';
      wall: string;
      id: string;
      bricks?: number;
      courses?: number;
    }
  | {
      op: 'add-opening';
      wall: string;
      style?: string;
      /**
       * Its left jamb from the wall's left end, real millimetres.
       */
      at?: number;
    }
  | {
      op: 'add-row';
      wall: string;
      style?: string;
    }
  | {
      op: 'copy-opening';
      wall: string;
      id: string;
      /**
       * Another wall, as block.edge.
       */
      to?: string;
      mirrored?: boolean;
      /**
       * Its left jamb from the wall's left end, real millimetres.
       */
      at?: number;
    }
  | {
      op: 'repeat-opening';
      wall: string;
      id: string;
      count: number;
      pitch?: string;
    }
  | {
      op: 'remove-opening';
      wall: string;
      id: string;
    }
  | {
      op: 'break-row';
      wall: string;
      id: string;
    }
  | {
      op: 'stand-row';
      wall: string;
      id: string;
      how: 'bays' | 'margin' | 'from';
    }
  | {
      op: 'add-block';
      kind: 'wing' | 'lean-to' | 'dormer' | 'platform' | 'block';
      beside?: string;
      edge?: string;
      along?: number;
      size?: number;
    }
  | {
      op: 'add-storey' | 'eaves-to-storeys';
      block: string;
    }
  | {
      op: 'share-storeys';
      block: string;
      with?: string;
    }
  | {
      op: 'remove-block';
      block: string;
    }
  | {
      op: 'block-to-chimney';
      block: string;
    }
  | {
      op: 'move-block';
      block: string;
      x?: number;
      y?: number;
      snap?: boolean;
    }
  | {
      op: 'shape-block';
      block: string;
      shape: string;
      w?: string;
      d?: string;
      a?: string;
      b?: string;
      sides?: number;
      /**
       * Even where openings go with a wall that the new outline does not have.
       */
      even_openings?: boolean;
    }
  | {
      op: 'turn-outline';
      block: string;
    }
  | {
      op: 'corner';
      block: string;
      vertex: number;
      method?: ('butt' | 'mitre') | null;
      through?: ('before' | 'after') | null;
      name?: string | null;
    }
  | {
      op: 'add-plot';
    }
  | {
      op: 'move-on-plot';
      x: number;
      y: number;
    }
  | {
      op: 'roof-edge';
      block: string;
      edge: string;
      kind?: EdgeKind | null;
      pitch?: number | null;
      overhang?: string | null;
      from?: string | null;
    }
  | {
      op: 'as-built';
      block: string;
      edge: string;
      figure: BuiltFigure;
      measured: string | null;
      reason?: string;
      date?: string;
    }
  | {
      op: 'add-kind';
      /**
       * One of those that are shipped.
       */
      like?: string;
      /**
       * As another building says it.
       */
      as?: {};
      kind?: 'window' | 'door' | 'open';
      name?: string;
    }
  | {
      op: 'fit-kind';
      style: string;
      ground?: boolean;
    }
  | {
      op: 'fill-kind';
      style: string;
      with: 'frame' | 'leaf' | 'blind' | 'bought';
    }
  | {
      op: 'copy-kind';
      style: string;
      wall?: string;
      id?: string;
    }
  | {
      op: 'remove-kind';
      style: string;
    }
  | {
      op: 'stack-layers';
      stack: string;
      stocks: string[];
    }
  | {
      op: 'own-stack';
      wall?: string;
      block?: string;
    }
  | {
      op: 'add-stock';
      name: string;
      kind: 'board' | 'card' | 'paper' | 'sheet';
      thickness: string;
    }
  | {
      op: 'stand-before';
      edge?: string;
      by: string;
    }
  | {
      op: 'choose';
      /**
       * Of a field that is described.
       */
      path: string;
      value: Json;
    }
  | {
      op: 'add-entry';
      /**
       * Of a list that is described.
       */
      path: string;
      /**
       * Of a list of things of several kinds.
       */
      kind?: string;
    }
  | {
      op: 'begin';
      /**
       * Of a field that is described.
       */
      path: string;
    }
  | {
      op: 'add-thing';
      kind: string;
      block?: string;
      on?: {};
    }
  | {
      op: 'move-thing';
      id: string;
      block?: string;
      bricks?: number;
      courses?: number;
      by?: [number, number];
    }
  | {
      op: 'copy-thing';
      id: string;
      block?: string;
      to?: string;
      mirrored?: boolean;
    }
  | {
      op: 'repeat-thing';
      id: string;
      count: number;
      every: string;
      block?: string;
    }
  | {
      op: 'remove-thing';
      id: string;
      block?: string;
    };
/**
 * Any value of a document.
 *
 */
export type Json = null | boolean | number | string | Json[] | { [key: string]: Json | undefined };
export type EdgeKind = 'gable' | 'hip' | 'half-hip' | 'wall';
export type BuiltFigure = 'length' | 'height' | 'apex' | 'up' | 'along';
/**
 * A building document; docs/formats.md.
 *
 */
export type Document = { [key: string]: Json | undefined };
/**
 * Across, deep and high, millimetres.
 *
 *
 */
export type Triple = readonly [number, number, number];
export type Sheets = Sheet[];
export type Docket = DocketEntry[];
/**
 * Of the building's own axes.
 *
 */
export type Direction = 'across' | 'deep' | 'high';
export type MadeState = 'printed' | 'cut' | 'papered' | 'fixed';

export interface Answers {}
export interface Account {
  user: User | null;
  demo: boolean;
}
export interface User {
  id: number;
  name: string;
  email: string;
  units: Units;
  is_demo: boolean;
}
/**
 * How far the reading of a large archive has come.
 *
 */
export interface ArchiveReading {
  id: string;
  state: 'waiting' | 'reading' | 'done' | 'refused' | 'stopped';
  /**
   * Revisions that have been read.
   */
  done: number;
  of: number;
  project: string | null;
  problems: Problem[];
}
export interface Problem {
  path: string;
  code: string;
  text: string;
}
export interface BuildingState {
  id: string;
  project_id: string;
  name: string;
  revision: Revision;
  faults: Fault[];
  derived_from: number | null;
  document: Document;
  derived: Derived | null;
  /**
   * What undo would take back and redo bring back, in words.
   */
  history: {
    undo: string | null;
    redo: string | null;
  };
  made: DocketEntry | null;
  /**
   * As it is described, while something is wrong with it: outlines, openings, edges of roofs.
   */
  sketch: View | null;
  /**
   * The place on the layout as it is described, while something is wrong; nothing is judged by it.
   */
  plot_sketch: PlotView | null;
}
export interface Revision {
  number: number;
  summary: string;
  is_sound: boolean;
  at: string;
  name: string | null;
  kind: 'edit' | 'undo' | 'redo' | 'restore';
  parts_changed: number | null;
  /**
   * What was learnt from it.
   */
  note: string | null;
}
export interface Fault {
  path: string;
  code: string;
  text: string;
  /**
   * In the names that a person gave.
   */
  where: string;
  says: {
    imperial: string;
    metric: string;
  };
  go: {
    stage: 'prototype' | 'plot' | 'shell' | 'roof' | 'skin' | 'sheets';
    block: string | null;
    wall: string | null;
    opening: string | null;
  };
  /**
   * The nearest way out, to be pressed.
   */
  cure: {
    words: string;
    edit: Edit;
  } | null;
}
export interface Derived {
  kit: Kit;
  dry_fit: DryFitFound;
  view: View;
  docket: Docket;
  stages: {
    [k: string]: string | undefined;
  };
  plot: PlotView | null;
  thoughts: Thought[];
  card: Card;
}
/**
 * Chartula kit, version 1
 *
 */
export interface Kit {
  format: 'chartula.kit';
  version: 1;
  building: {
    name: string;
    fingerprint: string;
  };
  scale: number;
  parts: Part[];
  joints: Joint[];
  outside?: {}[];
  checks: Check[];
  sheets: Sheets;
  totals: {
    parts: number;
    sheets: number;
    cut_length_mm: number;
    area_mm2: {
      [k: string]: number | undefined;
    };
    sheets_bound: number;
    sheets_yield: number;
  };
  assembly: {}[];
}
export interface Part {
  id: string;
  of: PartOf;
  label: string;
  name: string;
  group: 'shell' | 'brace' | 'roof' | 'skin' | 'trim';
  stock: string;
  thickness: number;
  qty: number;
  like: string | null;
  mirror_of: string | null;
  outline: Ring;
  holes: Ring[];
  inside_outline?: Ring;
  bevels?: {
    edge: number;
    degrees: number;
    longer: 'outside' | 'inside';
  }[];
  scores?: {
    line: [Point, Point];
    fold: 'away' | 'towards';
    degrees: number;
    score_on: 'face' | 'back';
  }[];
  slits?: [Point, Point][];
  edges: {
    edge: number;
    name: string;
    free?: 'opening' | 'foot' | 'eaves' | 'verge' | 'top' | 'clearance';
    level?: number;
  }[];
  marks?: {
    kind: string;
    path: Point[];
    text?: string;
  }[];
  placements: {
    label?: string;
    origin: Triple;
    x: Triple;
    y: Triple;
  }[];
  loose?: boolean;
  cut: string;
  print: string;
  form?: {};
  roof?: {
    block: string;
    edge: string;
    layer: string;
    underside: Triple[];
  };
  art?: {};
  workings: PartWorkings[];
}
/**
 * What it is a part of.
 */
export interface PartOf {
  block: string | null;
  /**
   * The wall or slope.
   */
  edge: string | null;
  /**
   * A layer's id, or paper, frame, leaf, glazing, floor, strip …
   */
  layer: string;
  opening: string | null;
  /**
   * The id of the thing, where that says itself where it stands.
   */
  feature?: string;
}
export interface PartWorkings {
  of: string;
  mm: number;
  steps: {
    op: 'measured' | 'given' | '+' | '−' | '×' | '÷';
    mm: number;
    text: string;
    by?: number;
    from?: string;
  }[];
}
export interface Joint {
  id: string;
  kind: 'butt' | 'mitre' | 'lap' | 'seat' | 'slot' | 'fold' | 'clearance';
  a: {
    part: string;
    edge?: number;
    face?: 'inside' | 'outside' | 'outline';
    hole?: number;
    copy?: number;
  };
  b: {
    part: string;
    edge?: number;
    face?: 'inside' | 'outside' | 'outline';
    hole?: number;
    copy?: number;
  };
  contact: Triple[];
  contact_mm: number;
  gap_mm: number;
  free_mm?: number;
  why?: string;
  covered_by?: string | null;
  touch?: 'strip' | 'line' | 'outside';
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
  parts: {
    part: string;
    copy: number;
    x: number;
    y: number;
    turn: 0 | 90 | 180 | 270;
  }[];
  template: boolean;
  mirrored: boolean;
  order: {
    what: string;
    part: string;
    copy: number;
  }[];
  frames: {
    stock: string;
    template: boolean;
    mirrored: boolean;
    x: number;
    y: number;
    width: number;
    height: number;
    parts: number;
  }[];
  printed: boolean;
}
export interface DryFitFound {
  ok: boolean;
  joints: number;
  pieces: number;
  findings: Finding[];
  /**
   * What to try where it does not go together.
   */
  advice: string | null;
}
export interface Finding {
  code: string;
  at: string;
  text: string;
  mm: number;
}
export interface View {
  scale: string;
  rule: {
    foot_mm: number;
    metre_mm: number;
  };
  walls: Wall[];
  plan: Plan;
  section: Section | null;
  skin: {
    brick: string;
    mortar: string;
    flap: string;
    /**
     * Another one where coverings look otherwise.
     */
    look: string;
    /**
     * Items: What walls and roofs may be covered with, as it is called, and of which it is usual.
     */
    coverings: {
      key: string;
      words: string;
      walls: boolean;
      roofs: boolean;
    }[];
    /**
     * Items: A person's own papers: where the document says them and names them, and how they come out on which face.
     */
    papers: {
      id: string;
      name: string;
      path: string;
      sha256: string;
      size: string;
      named: string[];
      uses: {
        words: string;
        printed: string;
      }[];
    }[];
    /**
     * Items: Colours of a person's own: where the document says them, and names them.
     */
    palettes: {
      id: string;
      name: string;
      path: string;
      named: string[];
    }[];
    /**
     * From where the layout is looked at, millimetres.
     */
    eye: number;
    /**
     * Items: The covering of each block's roof: where the document says it, the papers of its slopes, and how its rows come out.
     */
    roofs: {
      block: string;
      path: string;
      usual_pitch: number | null;
      words: string;
      finish: string;
      papers: string[];
      rows: string | null;
    }[];
  };
  stocks: StockView[];
  roof: {
    lines: RoofLine[];
    panels: RoofPanel[];
    area_mm2: number;
    things: RoofThing[];
  };
  shelf: ShelfStock[];
}
export interface Wall {
  /**
   * `block.edge`
   */
  key: string;
  block: string;
  edge: string;
  title: string;
  path: string;
  finish: string;
  shows_courses: boolean;
  step: {
    along_mm: number;
    up_mm: number;
  };
  length: Size;
  height: Size;
  apex: Size | null;
  /**
   * What of it is built.
   */
  outlines: Point[][];
  /**
   * What would stand there were no other block in the way.
   */
  whole: Point[];
  parts: string[];
  /**
   * The part that is printed for it.
   */
  paper: string | null;
  openings: Opening[];
  chains: ChainLink[][];
  marks: PrintedLine[];
  ends: WallCorner[];
  /**
   * What of it another block stands in front of.
   */
  covered: {
    by: string;
    ring: Point[];
  }[];
  /**
   * What stands on it at a place of its own.
   */
  things: Thing[];
}
export interface Size {
  real_mm: number;
  model_mm: number;
  imperial: string;
  metric: string;
  model: string;
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
  panels: Point[][];
  /**
   * Whether something is wrong with it.
   */
  clashes: boolean;
  /**
   * The row in bays that it is one of.
   */
  row: string | null;
  /**
   * What its kind is called.
   */
  name: string;
  /**
   * What a person calls it on its wall.
   */
  called: string;
  /**
   * What slides before its wall, where it is.
   */
  leaves: Point[][];
  stands_open: boolean;
}
export interface ChainLink {
  from: number;
  to: number;
  opening: string | null;
  size: Size;
  bricks: string;
}
/**
 * A line printed on a wall: where lower roofs meet it, its plinth, the ground.
 *
 */
export interface PrintedLine {
  path: Point[];
  text: string;
}
/**
 * How a wall ends at a corner of the footprint, and what the document says of that.
 *
 */
export interface WallCorner {
  end: 'left' | 'right';
  vertex: number;
  name: string | null;
  angle: string;
  kind: 'through' | 'stopped' | 'mitre' | 'open' | 'straight';
  /**
   * The wall round the corner.
   */
  other: string;
  said: '' | 'through' | 'stopped' | 'mitre';
}
export interface Thing {
  id: string;
  path: string;
  kind: string;
  /**
   * As a person says it: “second band”.
   */
  called: string;
  /**
   * On what it stands.
   */
  anchor: string;
  /**
   * Those that it goes over as if they were one.
   */
  openings: string[];
  /**
   * What it takes of the wall.
   */
  rings: Point[][];
  clashes: boolean;
}
export interface Plan {
  blocks: PlanBlock[];
  walls: PlanWall[];
  braces: Point[][];
  gaps: PlanGap[];
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
  roof: {
    kind: string;
    pitch: string;
  };
  /**
   * Whether something is wrong with it.
   */
  clashes: boolean;
  wide: Size;
  deep: Size;
  /**
   * Which of the shapes its outline has.
   */
  shape: string | null;
  /**
   * Of that shape, for shape-block.
   */
  figures: {
    key: 'w' | 'd' | 'a' | 'b';
    words: string;
    text: string;
  }[];
  /**
   * What its storeys and what is between them add up to; null where they do not.
   */
  storeys: string | null;
  /**
   * Whether it could be a chimney on another block’s roof.
   */
  is_stack: boolean;
}
export interface PlanEdge {
  name: string;
  block: string;
  key: string;
  from: Point;
  to: Point;
  length: Size;
  roof: EdgeKind;
  pitch: string;
  overhang: Size;
  /**
   * Whether something is wrong with it.
   */
  clashes: boolean;
  /**
   * What can be measured of its wall and of the panel over it once they are built, and what it is now.
   */
  measurable: {
    figure: BuiltFigure;
    is: Size;
  }[];
}
export interface PlanWall {
  key: string;
  edge: string;
  ring: Point[];
  openings: Point[][];
  length: Size;
}
export interface PlanGap {
  from: Point;
  to: Point;
  between: [string, string];
  size: Size;
}
/**
 * The middle of the first block cut through.
 *
 */
export interface Section {
  rings: CutRing[];
  bounds: [number, number, number, number];
  eaves: Size;
  ridge: Size;
  rise: Size;
  reach: Size;
  pitch: string;
  note: string;
}
export interface CutRing {
  name: string;
  part: string;
  ring: Point[];
}
export interface StockView {
  id: string;
  kind: string;
  thickness: string;
  measured: boolean;
  with_template: string;
  pieces: number;
  name: string;
}
export interface RoofLine {
  kind: string;
  from: Point;
  to: Point;
  length: Size;
  fold: string | null;
  workings: Workings;
}
export interface Workings {
  of: string;
  mm: number;
  steps: WorkingsStep[];
}
export interface WorkingsStep {
  op: string;
  by?: number;
  mm: number;
  text: string;
  from?: string;
}
export interface RoofPanel {
  part: string;
  name: string;
  block: string;
  pitch: string;
  plan: Point[];
  outline: Point[];
  holes: Point[][];
  edges: {
    name: string;
    length: Size;
    angle: string;
  }[];
  workings: Workings[];
}
export interface RoofThing {
  id: string;
  path: string;
  kind: string;
  /**
   * As a person says it: “second band”.
   */
  called: string;
  /**
   * On what it stands.
   */
  anchor: string;
  /**
   * Those that it goes over as if they were one.
   */
  openings: string[];
  /**
   * What it takes up in plan; none where it is not made.
   */
  rings: Point[][];
  clashes: boolean;
  block: string;
  /**
   * Over which its slope rises, by its name.
   */
  edge: string;
}
export interface ShelfStock {
  id: string;
  name: string;
  kind: string;
  thickness: string;
  measured: boolean;
}
export interface DocketEntry {
  key: string;
  over: string;
  text: string;
  state: 'fits' | 'look' | 'stop' | 'plain';
}
/**
 * The place on the layout, in its own axes, and what is left round the finished building.
 *
 */
export interface PlotView {
  fits: boolean;
  extents: {
    x0: number;
    x1: number;
    y0: number;
    y1: number;
    high: number;
  };
  clearances: Clearance[];
  outline: Point[];
  edges: {
    name: string;
    middle: Point;
    wanted: number;
    backscene: boolean;
    line: [Point, Point];
  }[];
  walls: Point[][];
  roofs: Point[][];
  neighbours: {
    id: string;
    name: string;
    ring: Point[];
  }[];
  roads: {
    id: string;
    name: string;
    rings: Point[][];
  }[];
  tracks: {
    id: string;
    name: string;
    middle: Point[];
    left: Point[][];
    right: Point[][];
  }[];
  obstacles: {
    id: string;
    name: string;
    rings: Point[][];
  }[];
  eye: {
    left: Point;
    right: Point;
    height: number;
  } | null;
  move: null | Point;
  /**
   * What comes off the layout after what, the building last.
   */
  off: string[];
  split: {
    length_mm: number;
    handy_mm: number;
    cover_mm: number;
    pieces: {
      from_mm: number;
      to_mm: number;
      length_mm: number;
      swing_mm: number;
    }[];
    joints: {
      at_mm: number;
      where: string;
    }[];
    texts: string[];
  } | null;
}
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
/**
 * One finding, with all the places that it concerns.
 *
 */
export interface Thought {
  code: string;
  level: 'ok' | 'note' | 'warn' | 'stop';
  count: number;
  words: string;
  /**
   * Whether it says the same of every place; else of the worst.
   */
  alike: boolean;
  /**
   * Whether somebody has left it so.
   */
  left: boolean;
  places: {
    at: string;
    where: string;
    go: {
      stage: 'prototype' | 'plot' | 'shell' | 'roof' | 'skin' | 'sheets';
      block: string | null;
      wall: string | null;
      opening: string | null;
    };
  }[];
}
/**
 * How a building is known among others.
 *
 */
export interface Card {
  scale: string;
  wide: Size;
  deep: Size;
  text: string;
  state: string;
}
export interface BuildingSummary {
  id: string;
  name: string;
  revision: number;
  updated_at: string;
}
export interface ComparedSide {
  revision: Revision;
  faults: Fault[];
  view: View | null;
}
export interface Comparison {
  from: ComparedSide;
  to: ComparedSide;
  changes: Difference[];
  parts: PartChange[] | null;
}
/**
 * One thing in which two documents differ; setting `after` at `path` takes it across.
 *
 */
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
export interface CompromiseRow {
  key: string;
  steps: Document[];
  costs: string[];
  harm: number;
  protected: boolean;
  closes: boolean;
  refused: string | null;
  view: DrawnShape[];
  title: string;
  finished: {
    across: number;
    deep: number;
    high: number;
  } | null;
  /**
   * By how much it is still too large, where it is worst.
   */
  over_mm: number;
  ghost: DrawnShape[];
  /**
   * Which is drawn.
   */
  wall: string;
  /**
   * Where it is cut to low relief.
   */
  relief: {
    depth: string;
    school: string;
  } | null;
}
/**
 * A shape of a small drawing.
 *
 */
export interface DrawnShape {
  kind: 'wall' | 'opening' | 'roof';
  ring: Point[];
}
export interface Compromises {
  rows: CompromiseRow[];
  differences: {
    what: string;
    real: string;
    modelled: string;
  }[];
  now: {
    across: number;
    deep: number;
    high: number;
  };
  to: {
    across: number | null;
    deep: number | null;
    high: number | null;
  };
  /**
   * What has to go, in reality.
   */
  missing: {
    across?: string;
    deep?: string;
    high?: string;
  };
  room: {
    direction: 'across' | 'deep';
    wall: string;
    name: string;
    most: string;
  }[];
  /**
   * Whether that is what the plot has room for.
   */
  of_plot: boolean;
  plan: DrawnShape[];
  ghost: DrawnShape[];
  /**
   * How many ways would change what is kept.
   */
  spared: number;
  /**
   * What could make the building itself.
   */
  features: {
    key: string;
    name: string;
    kept: boolean;
  }[];
}
export interface Conflict {
  code: 'conflict';
  message: string;
  base: number;
  theirs: TheirRevision;
  mine: MyChange;
  sent: Document;
  differences: {
    theirs: Difference[];
    mine: Difference[];
  };
}
export interface TheirRevision {
  number: number;
  summary: string;
  is_sound: boolean;
  at: string;
  name: string | null;
  kind: 'edit' | 'undo' | 'redo' | 'restore';
  parts_changed: number | null;
  /**
   * What was learnt from it.
   */
  note: string | null;
  document: Document;
}
export interface MyChange {
  summary: string;
  document: Document;
}
export interface Cut {
  seconds: number;
  findings: string[];
  size: [number, number];
  passes: number;
  strokes: KnifeStroke[];
  /**
   * What the file's own comments say.
   */
  notes: string[];
  cuts: {
    stock: string;
    passes: number;
  }[];
}
export interface KnifeStroke {
  tool: 'score' | 'cut';
  passes: number;
  start_s: number;
  end_s: number;
  points: Point[];
}
export interface DryFit {
  ok: boolean;
  joints: number;
  pieces: number;
  findings: Finding[];
  measures: JointMeasure[];
  free: FreeEdge[];
  /**
   * What to try where it does not go together.
   */
  advice: string | null;
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
  drawing: {
    met: Point[][];
    stands: Point[][];
    contact: Point[];
  } | null;
}
export interface FreeEdge {
  part: string;
  edge: number;
  name: string;
  why: string | null;
  mm: number;
}
export interface FixedParts {
  code: 'fixed';
  message: string;
  parts: PartChange[];
}
export interface Found {
  results: FoundResult[];
  help: string | null;
}
export interface FoundResult {
  kind: 'length' | 'part' | 'wall' | 'sheet' | 'verb' | 'opening' | 'field';
  text: string;
  copy?: string;
  to?: {
    what: 'part' | 'wall' | 'sheet' | 'verb' | 'opening';
    id: string;
    /**
     * Where a part of a wall is shown.
     */
    wall?: string | null;
  };
}
export interface Kinds {
  kinds: {
    id: string;
    name: string;
    said: Document;
  }[];
  shipped: {
    key: string;
    name: string;
    kind: 'window' | 'door' | 'open';
  }[];
}
export interface Made {
  revision: number;
  counts: {
    pieces: number;
    printed: number;
    cut: number;
    papered: number;
    fixed: number;
    stale: number;
  };
  pieces: MadePiece[];
  prints: PrintRun[];
}
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
  by: 'edit' | 'program' | 'both' | null;
  kept: boolean;
}
export interface PrintRun {
  revision: number;
  what: string;
  pieces: number;
  at: string;
}
export interface Material {
  text: string;
}
export interface Mockup {
  revision: number;
  percent: number;
  pages: number;
  nets: {
    name: string;
    faces: number;
    folds: number;
    tabs: number;
  }[];
}
export interface Perspective {
  path: string;
  name: string;
  vanishing_mm: number;
  back_scale: number;
  back_ratio: number;
  rise_mm: number;
  depths: {
    apparent_mm: number;
    true_mm: number;
    scale: number;
  }[];
  pieces: {
    name: string;
    front_mm: number;
    back_mm: number;
    long_mm: number;
    other_mm: number;
    label: string;
  }[];
  strong: boolean;
  texts: string[];
  limit_mm: number;
}
export interface Problems {
  message: string;
  problems: Problem[];
}
export interface ProjectSummary {
  id: string;
  name: string;
  updated_at: string;
  buildings: BuildingSummary[];
}
export interface Projects {
  projects: ProjectSummary[];
}
/**
 * A typed length: its size, or what is wrong with it.
 *
 */
export interface Reading {
  size: Size | null;
  fault: string | null;
  /**
   * Where something else may be meant.
   */
  asks: string | null;
  /**
   * What may be meant, to be pressed.
   */
  offers: string[];
}
export interface Readings {
  readings: Reading[];
}
export interface ReliefTable {
  depth_mm: number;
  whole_mm: number;
  half_bricks: number;
  even: number[];
  rows: ReliefRow[];
}
export interface ReliefRow {
  school: string;
  costs: string;
  chosen: boolean;
  refused: string | null;
  top_mm: number | null;
  off_mm: number | null;
  slopes: {
    name: string;
    pitch: string;
    slope_mm: number;
  }[];
  lost: string[];
  view: DrawnShape[];
  /**
   * Against what it is, and what stands beside it.
   */
  heights: string[];
  /**
   * Rows of slates on the front slope.
   */
  slates: {
    is: number;
    was: number;
  } | null;
  /**
   * Why it is the one to choose; null of the others.
   */
  recommended: string | null;
}
export interface Revisions {
  revisions: Revision[];
  total: number;
}
export interface ScaleRow {
  scale: string;
  ratio: number;
  here: boolean;
  percent: number;
  card_real: string;
  figure_mm: number;
  size: {
    width: number;
    depth: number;
    height: number;
  } | null;
  fits: boolean | null;
  fit: string | null;
  fine: string[];
  doors: {
    style: string;
    mm: number;
    figures: number;
  }[];
  faults: string[];
  /**
   * There is room, only not where it stands.
   */
  moved: boolean;
}
export interface ScaleTable {
  here: number;
  rows: ScaleRow[];
  scaled: {
    what: string;
    mm: string;
  }[];
  kept: {
    what: string;
    mm: string;
  }[];
}
/**
 * The last sound kit cut through where one asks.
 *
 */
export interface SectionAt {
  revision: number;
  rings: CutRing[];
  bounds: [number, number, number, number];
}
export interface SeenFace {
  kind: 'wall' | 'roof';
  key: string;
  /**
   * The wall's or slope's own name.
   */
  edge: string;
  name: string;
  path: string;
  share: number;
  degrees: number;
  treat: string;
  wants: 'full' | 'plain' | 'omit';
}
export interface Shapes {
  shapes: StarterShape[];
}
/**
 * A shape that a new building may begin with; its roofs in plan, lowest first.
 *
 */
export interface StarterShape {
  id: 'single' | 'l' | 't' | 'u' | 'h' | 'z' | 'terrace' | 'pavilions' | 'aisles' | 'dormers' | 'clerestory';
  title: string;
  about: string;
  plan: DrawnShape[];
}
export interface Sight {
  faces: SeenFace[];
  lines: {
    key: string;
    shows: boolean;
    text: string;
  }[];
  perspectives: Perspective[];
  view: {
    plan: SightDrawing;
    section: SightDrawing;
  } | null;
  insides: {
    key: string;
    name: string;
    room_mm: number;
    back_mm: Point | null;
    floor_mm: Point | null;
    text: string;
  }[];
}
/**
 * Shapes and lines of sight: in plan, or depth and height.
 *
 */
export interface SightDrawing {
  shapes: {
    kind: string;
    ring: Point[];
  }[];
  lines: {
    key: string;
    from: Point;
    to: Point;
    limit: boolean;
    text: string;
  }[];
  eyes: {
    at: Point;
    text: string;
  }[];
}
/**
 * Pictures (SVG) of what is printed on parts, by the parts' ids.
 *
 */
export interface Faces {
  faces: {
    [k: string]: string | undefined;
  };
}
export interface Stand {
  revision: number;
  box: [number, number, number, number, number, number];
  phases: {
    key: string;
    text: string;
  }[];
  /**
   * In the order in which they go together.
   */
  pieces: StandPiece[];
  joints: [string, string, string][];
  eye: {
    at: Triple;
    along: Triple;
    travel: number;
    looks: Triple;
  } | null;
}
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
  /**
   * The colour of most of what is printed on it, until its print is there.
   */
  tone: string | null;
  away: Triple;
  /**
   * Where it stands, in words.
   */
  stands: string;
  facets: {
    origin: Triple;
    x: Triple;
    y: Triple;
    outline: Point[];
    inside: Point[] | null;
    holes: Point[][];
  }[];
  /**
   * Fingerprint of what is printed on it.
   */
  print: string;
}
/**
 * How a kit lies on its sheets, as well as is known.
 *
 */
export interface LaidSheets {
  revision: number;
  packing: 'quick' | 'usual' | 'thorough';
  /**
   * Of which papers the pictures are not here, in words; nothing is sent to a printer while there are some.
   */
  missing: string[];
  looking: boolean;
  bound: number;
  percent: number;
  sheets: Sheets;
  docket: DocketEntry;
  stage: string;
}
export interface BuildingCard {
  /**
   * Of the last sound revision.
   */
  card: Card | null;
  revision: number;
  sound: number | null;
  changed: string;
  faults: string | null;
}
/**
 * One side of the building with all its blocks in their places, the farthest first.
 *
 */
export interface Whole {
  revision: number;
  shapes: {
    kind: 'wall' | 'roof' | 'window' | 'door' | 'open' | 'pane';
    wall: string | null;
    opening: string | null;
    finish: string;
    colour: string | null;
    ring: Point[];
    holes: Point[][];
  }[];
  chains: ChainLink[][];
  heights: {
    words: string;
    size: Size;
  }[];
}
/**
 * A building as another takes it for its neighbour: each block's finished outline.
 *
 */
export interface AsNeighbour {
  building: string;
  name: string;
  revision: number;
  blocks: {
    name: string;
    outline: string[][];
    to: string;
    pitch: number;
  }[];
}
export interface FormChoice {
  value: string;
  words: string;
  /**
   * A path in a box of 24 by 24.
   */
  picture?: string;
}
/**
 * What a field holds.
 *
 */
export interface FormValue {
  what:
    | 'length'
    | 'number'
    | 'count'
    | 'flag'
    | 'text'
    | 'choice'
    | 'pair'
    | 'items'
    | 'map'
    | 'group'
    | 'list'
    | 'kinds'
    | 'stock'
    | 'colour'
    | 'id'
    | 'reference'
    | 'other';
  /**
   * Of a length.
   */
  world?: 'real' | 'model';
  /**
   * Of a number: the word behind it.
   */
  after?: string;
  least?: number;
  most?: number;
  choices?: FormChoice[];
  /**
   * Of a pair.
   *
   */
  labels?: [string, string];
  each?: FormValue;
  /**
   * Of a group, or of an entry of a list.
   */
  fields?: FormField[];
  folded?: boolean;
  /**
   * Of a group that is there or is not: what is said where it is.
   */
  word?: string;
  /**
   * What one of a list is called.
   */
  one?: string;
  /**
   * What is said of a list without any.
   */
  empty?: string;
  /**
   * Of values by names: of what the names are.
   */
  names?: string;
  /**
   * Of a reference: the path of what it is chosen from.
   */
  to?: string;
  /**
   * Of a list of things of several kinds.
   */
  kinds?: FormKind[];
}
export interface FormField {
  key: string;
  label: string;
  optional: boolean;
  holds: FormValue;
  /**
   * The field in whose place it may be said.
   */
  instead_of?: string;
  when?: {
    key: string;
    values: string[];
    /**
     * A form asks for it where it is said, too.
     */
    offer?: true;
  };
  usual?: Json;
  /**
   * The heading under which it lies folded.
   */
  under?: string;
  /**
   * What it means that nothing is said.
   */
  unsaid?: string;
  /**
   * It is shown only where it is said.
   */
  where_said?: true;
  /**
   * What it is called where another field of its set is said.
   */
  beside?: {
    key: string;
    label: string;
  };
}
export interface FormKind {
  kind: string;
  title: string;
  says: string;
  /**
   * A path in a box of 24 by 24.
   */
  picture: string;
  fields: FormField[];
  /**
   * What it may stand on, where the list leaves that open.
   */
  anchors?: string[];
  /**
   * Whether it stands at one place of a wall or of a line of the roof, which may be counted from what it is centred on.
   */
  is_at_one_place?: boolean;
}
export interface Forms {
  forms: {
    [k: string]: FormField[] | undefined;
  };
}
