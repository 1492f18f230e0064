import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { Stand, StandPiece } from '../../api/types';
import { facesOf } from '../../api/faces';
import type { StandScene } from './scene';

interface Props {
  stand: Stand;
  building: string;
  chosen: string | null;
  apart: number;
  section: number;
  /** Along the eye's travel, or null for the view that can be turned. */
  eye: number | null;
  isShown: (piece: StandPiece) => boolean;
  onPick: (key: string | null) => void;
  onReady: (scene: StandScene | null) => void;
}

const TURN = 10;

/** The drawing in space; what it needs is fetched only when it is opened. */
export function StandCanvas({ stand, building, chosen, apart, section, eye, isShown, onPick, onReady }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pick = useRef(onPick);
  const ready = useRef(onReady);
  const first = useRef(stand);
  const [scene, setScene] = useState<StandScene | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    pick.current = onPick;
    ready.current = onReady;
  });

  useEffect(() => {
    let made: StandScene | null = null;
    let isGone = false;
    void import('./scene')
      .then(({ StandScene: Scene }) => {
        if (isGone || canvas.current === null) return;
        made = new Scene(canvas.current, first.current, {
          faces: (revision, parts) => facesOf(building, revision, parts),
          onPick: (key) => pick.current(key),
        });
        setScene(made);
        setFault(null);
        ready.current(made);
      })
      .catch(() => setFault('This browser draws nothing in space; the list beside says what stands where.'));
    return () => {
      isGone = true;
      ready.current(null);
      setScene(null);
      made?.dispose();
    };
  }, [building]);

  // Pieces that an edit made anew are put where the others are.
  useEffect(() => scene?.update(stand), [scene, stand]);
  useEffect(() => scene?.pullApart(apart), [scene, stand, apart]);
  useEffect(() => scene?.cut(section), [scene, stand, section]);
  useEffect(() => scene?.show(isShown), [scene, stand, isShown]);
  useEffect(() => scene?.choose(chosen), [scene, stand, chosen]);
  useEffect(() => {
    if (eye !== null) scene?.lookFromEye(eye);
  }, [scene, eye]);

  function onKeyDown(event: KeyboardEvent<HTMLCanvasElement>) {
    const turns: Record<string, () => void> = {
      ArrowLeft: () => scene?.orbit(-TURN, 0),
      ArrowRight: () => scene?.orbit(TURN, 0),
      ArrowUp: () => scene?.orbit(0, TURN),
      ArrowDown: () => scene?.orbit(0, -TURN),
      '+': () => scene?.orbit(0, 0, 0.9),
      '-': () => scene?.orbit(0, 0, 1.1),
      Home: () => scene?.look(),
    };
    const turn = turns[event.key];
    if (turn === undefined) return;
    turn();
    event.preventDefault();
  }

  return (
    <>
      {fault !== null && (
        <p role="alert" className="remark">
          {fault}
        </p>
      )}
      <canvas
        ref={canvas}
        className="standing"
        tabIndex={0}
        // It is worked by keys, as its label says.
        // eslint-disable-next-line jsx-a11y/no-interactive-element-to-noninteractive-role
        role="application"
        aria-roledescription="drawing in space"
        aria-label={`${stand.pieces.length} pieces standing in their places. Arrow keys turn it, plus and minus come nearer and go away, Home goes back.`}
        data-drawn={scene !== null}
        data-revision={stand.revision}
        onKeyDown={onKeyDown}
      />
    </>
  );
}
