import { useEffect, useRef } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import { useBuilding } from './context';
import { KindFields } from './KindFields';
import { KindPicture } from './KindPicture';
import { kindsOf } from './kinds';
import { MoreKinds } from './MoreKinds';

const NEW = [
  ['window', 'Add a kind of window'],
  ['door', 'of door'],
  ['open', 'of archway'],
] as const;

/** The kinds of openings: each described once, to be changed, copied, and put into any wall. */
export function Kinds() {
  const { state, save } = useBuilding();
  const [search] = useSearchParams();
  const asked = search.get('kind');
  const kinds = kindsOf(state.document);
  const known = useRef(kinds.length);
  const isWrong = (id: string) => state.faults.some((fault) => fault.path.startsWith(`styles.${id}.`));
  const last = kinds.length > known.current ? kinds[kinds.length - 1]?.[0] : undefined;
  useEffect(() => {
    known.current = kinds.length;
  });
  return (
    <section aria-label="Kinds of openings">
      <h3 className="mt-3">Openings are of these kinds</h3>
      {kinds.length === 0 && <p className="quiet mb-1">None yet. Begin with a window or a door.</p>}
      {kinds.map(([id, name]) => (
        <OneKind key={id} id={id} name={name} isOpen={id === asked || id === last || isWrong(id)} />
      ))}
      <div className="tools">
        {NEW.map(([kind, words]) => (
          <Button key={kind} size="sm" variant="outline-primary" onClick={() => save([{ op: 'add-kind', kind }])}>
            {words}
          </Button>
        ))}
      </div>
      <MoreKinds />
    </section>
  );
}

function OneKind({ id, name, isOpen }: { id: string; name: string; isOpen: boolean }) {
  const { save } = useBuilding();
  const ref = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    if (isOpen && ref.current !== null) {
      ref.current.open = true;
      ref.current.scrollIntoView({ block: 'nearest' });
    }
  }, [isOpen]);
  return (
    <details ref={ref} className="kind">
      <summary>{name}</summary>
      <KindPicture kind={id} alt={`${name}, from outside`} />
      <KindFields id={id} name={name} />
      <div className="tools mb-2">
        <Button size="sm" variant="outline-secondary" onClick={() => save([{ op: 'copy-kind', style: id }])}>
          Copy {name}
        </Button>
        <Button size="sm" variant="outline-secondary" onClick={() => save([{ op: 'remove-kind', style: id }])}>
          Remove {name}
        </Button>
      </div>
    </details>
  );
}
