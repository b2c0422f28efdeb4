import type { PlantForm } from '../../core/ground/index.ts';
import type { LayerState } from '../../core/bed/index.ts';

export interface NamedLayer extends LayerState {
  readonly name: string;
  readonly age: string;
  /** Not saved yet. */
  readonly isDraft: boolean;
}

export interface NamedCrop {
  readonly id: string;
  readonly name: string;
  readonly form: PlantForm;
  readonly progress: number;
  readonly rootDepthCm: number;
  readonly isPale: boolean;
}

/** The frame of the section, in its own units. */
export const HEIGHT = 452;
export const LEFT = 46;
export const TOP = 8;
const LABEL_GAP = 22;
const LABEL_WIDTH = 162;

/** What differs between a wide screen and a phone, in units of the drawing. */
export interface SectionFrame {
  readonly width: number;
  /** Width and right edge of the ground. */
  readonly body: number;
  readonly right: number;
  /** Where names begin. */
  readonly labelX: number;
}

function frameOf(body: number): SectionFrame {
  const right = LEFT + body;
  return { body, right, labelX: right + LABEL_GAP, width: right + LABEL_GAP + LABEL_WIDTH };
}

export const WIDE_FRAME = frameOf(270);
export const NARROW_FRAME = frameOf(110);

export const PLANT_ROOM = 78;
export const SUBSOIL_CM = 8;

/** Where the soil begins, and how many pixels a centimetre takes, so that the highest stack and the roots fit. */
export interface SectionScale {
  readonly pxPerCm: number;
  readonly surface: number;
}

export function sectionScale(highestMulchCm: number, rootZoneCm: number): SectionScale {
  const pxPerCm = (HEIGHT - TOP - PLANT_ROOM) / (highestMulchCm + rootZoneCm + SUBSOIL_CM);
  return { pxPerCm, surface: TOP + PLANT_ROOM + highestMulchCm * pxPerCm };
}

const LEAST_LAYER_PX = 2;

export interface PlacedLayer {
  readonly layer: NamedLayer;
  readonly top: number;
  readonly bottom: number;
}

/** Layers from the soil upwards, in pixels. */
export function placeLayers(layers: readonly NamedLayer[], surface: number, scale: number): PlacedLayer[] {
  let bottom = surface;
  return layers
    .filter(({ isOnTop }) => isOnTop)
    .map((layer) => {
      const top = bottom - Math.max(LEAST_LAYER_PX, layer.thicknessCm * scale);
      const placed = { layer, top, bottom };
      bottom = top;
      return placed;
    });
}
