import { useRef, type ReactNode } from 'react';
import { pngFile, svgFile } from './picture-file.ts';
import { saveBlob, saveFile } from './save-file.ts';
import './pictured.css';

interface PicturedProps {
  /** What the file is called, and what the picture shows. */
  readonly title: string;
  readonly children: ReactNode;
}

/** A drawing that can be kept as a picture. */
export function Pictured({ title, children }: PicturedProps) {
  const holder = useRef<HTMLDivElement>(null);
  const drawing = () => holder.current?.querySelector('svg') ?? null;
  const saveSvg = () => {
    const svg = drawing();
    if (svg) saveFile(`${title}.svg`, svgFile(svg, title), 'image/svg+xml');
  };
  const savePng = async () => {
    const svg = drawing();
    if (svg) saveBlob(`${title}.png`, await pngFile(svg, title));
  };
  return (
    <div className="pictured" ref={holder}>
      {children}
      <div className="picture-buttons">
        <button type="button" aria-label={`Save ${title} as SVG`} onClick={saveSvg}>
          SVG
        </button>
        <button type="button" aria-label={`Save ${title} as PNG`} onClick={() => void savePng()}>
          PNG
        </button>
      </div>
    </div>
  );
}
