'use client';
/** Widths of words in the font that prints are set in, as the browser draws it; null until the font is there. */
import { useEffect, useState } from 'react';
import type { Measure } from '@/core/plan';

export const PRINT_FONT = '"Archivo Narrow", "Archivo Variable", sans-serif';
/** As large as is asked for most; widths of one font are in proportion to its size. */
const AT = 100;

export function usePrintMeasure(): Measure | null {
  const [measure, setMeasure] = useState<Measure | null>(null);
  useEffect(() => {
    let wanted = true;
    const pen = document.createElement('canvas').getContext('2d');
    const known = new Map<string, number>();
    const ready = async (): Promise<void> => {
      // Without the font nothing is said of widths.
      const fonts = await Promise.all(
        [400, 700].map((weight) => document.fonts.load(`${weight} ${AT}px ${PRINT_FONT}`)),
      ).catch(() => null);
      if (!wanted || !pen || fonts === null) return;
      setMeasure(() => (text: string, size: number, bold: boolean): number => {
        const key = `${bold ? 'b' : 't'}${text}`;
        let wide = known.get(key);
        if (wide === undefined) {
          pen.font = `${bold ? 700 : 400} ${AT}px ${PRINT_FONT}`;
          wide = pen.measureText(text).width;
          known.set(key, wide);
        }
        return (wide * size) / AT;
      });
    };
    void ready();
    return () => {
      wanted = false;
    };
  }, []);
  return measure;
}
