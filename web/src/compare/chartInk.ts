import { usePreferredColorScheme } from '@vueuse/core';
import type { Ref } from 'vue';
import type { Cause } from '@wergon/core/compare';

/** The value of one of the theme's variables. */
export type Theme = (name: string) => string;

/** The theme's inks as a chart asks for them, read anew whenever the scheme changes; those of the whole page, or of a part that
 *  has its own. */
export function useTheme(part?: Readonly<Ref<Element | null>>): () => Theme {
  const scheme = usePreferredColorScheme();
  return () => {
    void scheme.value;
    const style = getComputedStyle(part?.value ?? document.documentElement);
    return (name) => style.getPropertyValue(name).trim();
  };
}

const TILE = 8;
/** The textures of the yardstick, for the kinds of work; what an hour costs has quiet tones of its own. */
export function inkOf(id: Cause | 'estimated' | 'actual', theme: Theme): string | CanvasPattern {
  if (id === 'mix') return theme('--quiet-1');
  if (id === 'rate' || id === 'premium' || id === 'trueUp') return theme('--quiet-2');
  if (id === 'changed' || id === 'uncosted') return theme('--bar-open');
  return id === 'setup' || id === 'rework' ? texture(id, theme) : theme('--bar');
}
function texture(id: 'setup' | 'rework', theme: (name: string) => string): string | CanvasPattern {
  const tile = document.createElement('canvas');
  tile.width = tile.height = TILE;
  const pen = tile.getContext('2d');
  if (!pen) return theme('--bar');
  pen.fillStyle = theme('--sheet');
  pen.fillRect(0, 0, TILE, TILE);
  pen.fillStyle = pen.strokeStyle = theme('--bar');
  pen.lineWidth = 3;
  if (id === 'setup')
    for (const shift of [-TILE, 0, TILE]) {
      pen.beginPath();
      pen.moveTo(shift - 1, TILE + 1);
      pen.lineTo(shift + TILE + 1, -1);
      pen.stroke();
    }
  else {
    pen.beginPath();
    pen.arc(TILE / 2, TILE / 2, 2, 0, 2 * Math.PI);
    pen.fill();
  }
  return pen.createPattern(tile, 'repeat') ?? theme('--bar');
}
