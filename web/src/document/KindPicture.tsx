import { useOneAtATime } from '../drawing/oneAtATime';
import { useBuilding } from './context';

interface Props {
  /** A kind of the building, or `shipped/…`. */
  kind: string;
  /** Whose kind it is; this building where nobody says. */
  of?: string;
  /** Of which revision of this building; the newest where nobody says. */
  revision?: number;
  alt: string;
}

/** A kind of opening from outside, as it comes out on its building. */
export function KindPicture({ kind, of, revision, alt }: Props) {
  const { state } = useBuilding();
  const { href, onLoad, onError } = useOneAtATime(
    `/api/buildings/${of ?? state.id}/kinds/${kind}.svg?r=${revision ?? state.revision.number}`,
  );
  return <img className="opening-picture" src={href} alt={alt} loading="lazy" onLoad={onLoad} onError={onError} />;
}
