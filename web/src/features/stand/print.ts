import * as THREE from 'three';

const PX_PER_MM = 10;
const MOST_PX = 2048;

/** What is printed on a sheet, as an SVG of so many millimetres, to be laid on its facets by their coordinates on that. */
export function printed(
  picture: string,
  [w, h]: readonly [number, number],
  done: (texture: THREE.Texture) => void,
): void {
  const image = new Image();
  image.onload = () => {
    const scale = Math.min(PX_PER_MM, MOST_PX / Math.max(w, h));
    const canvas = document.createElement('canvas');
    canvas.width = Math.ceil(w * scale);
    canvas.height = Math.ceil(h * scale);
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const texture = new THREE.CanvasTexture(canvas);
    texture.colorSpace = THREE.SRGBColorSpace;
    texture.repeat.set(1 / w, 1 / h);
    done(texture);
  };
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(picture)}`;
}
