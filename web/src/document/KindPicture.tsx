import { useOneAtATime } from '../drawing/oneAtATime';
import { useBuilding } from './context';

interface Props {
  /** A kind of the building, or `shipped/…`. */
  kind: string;
  /** Whose kind it is; this building where nobody says. */
  of?: string;
  alt: string;
}

/** A kind of opening from outside, as it comes out on its building: it changes with every revision. */
export function KindPicture({ kind, of, alt }: Props) {
  const { state } = useBuilding();
  const { href, onLoad, onError } = useOneAtATime(
    `/api/buildings/${of ?? state.id}/kinds/${kind}.svg?r=${state.revision.number}`,
  );
  return <img className="opening-picture" src={href} alt={alt} loading="lazy" onLoad={onLoad} onError={onError} />;
}
