import {
  faceGround,
  frameOf,
  landmarksOf,
  lineArt,
  paintFace,
  paintLayerOf,
  type ClientSnapshot,
  type FaceGround,
  type Features,
  type Frame,
  type LightName,
  type PaintLayer,
  type Skin,
  type Step,
  type Trace,
} from '@toile/core';
import { faceBox } from '../features/face/faceBox';
import { ownSkin } from '../features/face/ownSkin';

export type PaintRequest = {
  readonly client: Pick<ClientSnapshot, 'landmarks' | 'features' | 'skin'>;
  /** Steps to paint, in order. */
  readonly steps: readonly Step[];
  /** x, y, width and height in mm. */
  readonly view: readonly [number, number, number, number];
  readonly width: number;
  readonly light: LightName;
  readonly eaten: number;
};

/** Keeps the newest few of something that is dear to make. */
function lately<T>(most: number): (key: string, make: () => T) => T {
  const held = new Map<string, T>();
  return (key, make) => {
    const value = held.has(key) ? held.get(key)! : make();
    held.delete(key);
    held.set(key, value);
    if (held.size > most) held.delete(held.keys().next().value!);
    return value;
  };
}

const groundFor = lately<FaceGround>(2);
const layerFor = lately<PaintLayer | null>(80);

/** What a layer's film and masks depend on: neither the step's words nor the light. */
const layerKey = ({ role, use, placements, doseMgPerCm2, passes }: Step, frame: string): string =>
  JSON.stringify([frame, role, use, placements, doseMgPerCm2, passes]);

/**
 * The painted face as RGBA. Ground and films are kept: a switch of light or of one layer makes only what
 * changed.
 */
export function paintPicture({ client, steps, view, width, light, eaten }: PaintRequest): {
  readonly frame: Frame;
  readonly rgba: Uint8ClampedArray<ArrayBuffer>;
} {
  const frame = frameOf(view, width);
  const face = JSON.stringify([client.landmarks, client.features, frame]);
  const ground = groundFor(`${face} ${JSON.stringify(client.skin)}`, () => faceGround(client, frame));
  const layers = steps
    .map((step) => layerFor(layerKey(step, face), () => paintLayerOf(step, client, frame)))
    .filter((l): l is PaintLayer => l !== null);
  const rgba = new Uint8ClampedArray(4 * frame.width * frame.height);
  paintFace(ground, layers, { light, eaten }, rgba);
  return { frame, rgba };
}

export type FaceRequest = {
  readonly trace: Trace;
  readonly features: Features;
  readonly skin: Skin;
};

/** The picture as a PNG, made where the page is not held up by it. */
export const paintJobs = {
  /** A face in ink, and where it is looked at: a page that has only this to draw need not work it out. */
  face: ({ trace, features, skin }: FaceRequest) => {
    const landmarks = landmarksOf(trace);
    return {
      art: lineArt(landmarks, features, 'open'),
      own: ownSkin(skin, landmarks),
      view: faceBox(landmarks),
    };
  },
  paint: async (request: PaintRequest): Promise<Blob> => {
    const { frame, rgba } = paintPicture(request);
    const canvas = new OffscreenCanvas(frame.width, frame.height);
    canvas.getContext('2d')!.putImageData(new ImageData(rgba, frame.width, frame.height), 0, 0);
    return canvas.convertToBlob({ type: 'image/png' });
  },
};
