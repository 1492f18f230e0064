import { useBuilding } from '../../document/context';
import { useOneAtATime } from '../../drawing/oneAtATime';

interface Props {
  covering: string;
  paper?: string;
  palette?: string;
  alt: string;
}

/** A piece of a covering as it comes out on this building. It changes with the building’s look, and not with every edit. */
export function Swatch({ covering, paper, palette, alt }: Props) {
  const { state, derived } = useBuilding();
  const asked = new URLSearchParams({
    look: derived?.view.skin.look ?? '',
    ...(paper === undefined ? {} : { paper }),
    ...(palette === undefined ? {} : { palette }),
  });
  const { href, onLoad, onError } = useOneAtATime(`/api/buildings/${state.id}/coverings/${covering}.svg?${asked}`);
  return <img src={href} alt={alt} loading="lazy" onLoad={onLoad} onError={onError} />;
}
