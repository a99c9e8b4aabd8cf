import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import { SAMPLE_IDS, sampleName, wholeSample } from '@ample/core/blocks';
import { cuttingLine } from '@ample/core/pattern';
import { partScene } from '@ample/core/in/photo';
import { openPage, openPicture, standInPicture, usePicture } from '../../../store/picture.ts';

/** What the stand-in's picture shows of the piece. */
const PARTS = { whole: 'whole', upper: 'its upper part', lower: 'its lower part' } as const;

/** A picture of one's own, or one from the stand-in camera. */
export function ChoosePicture() {
  const input = useRef<HTMLInputElement | null>(null);
  const joining = usePicture((s) => s.base !== null);
  const page = usePicture((s) => s.page);
  return (
    <>
      <p>
        {joining
          ? 'Now the picture that shows where the piece goes on, with the same marks and a sheet of known size in it.'
          : 'Lay one or more pieces flat on the mat and a sheet of paper of known size beside them, all in the picture. Stand well back and zoom in: a lens near the table bends straight lines, and nothing here can straighten that.'}
      </p>
      <input
        ref={input}
        type="file"
        accept="image/*"
        className="sr-only"
        tabIndex={-1}
        aria-label="A picture of the piece"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) void openPicture(file);
          e.target.value = '';
        }}
      />
      <button className="btn btn-main" onClick={() => input.current?.click()}>
        <Camera size={20} aria-hidden="true" />
        Choose a picture
      </button>
      {joining && page && page.number < page.of && (
        <button className="btn" onClick={() => void openPage(page.file, page.number + 1)}>
          The next page of the file
        </button>
      )}
      <StandInCamera />
    </>
  );
}

/** A picture of a sample piece, for those without a camera at hand. */
function StandInCamera() {
  const [sample, setSample] = useState<(typeof SAMPLE_IDS)[number]>('causeway');
  const [piece, setPiece] = useState('front');
  const [part, setPart] = useState<keyof typeof PARTS>('whole');
  const pieces = wholeSample(sample).sizes['5'] ?? [];
  const standIn = (scanner: boolean) => {
    const of = pieces.find((p) => p.id === piece) ?? pieces[0];
    if (!of) return;
    const line = cuttingLine(of);
    const scene = part === 'whole' ? {} : partScene(line, part);
    void standInPicture(line, scanner, `${of.name}, stand-in ${scanner ? 'scan' : 'photo'}`, scene);
  };
  return (
    <fieldset className="min-w-0 border-t border-line pt-3">
      <legend className="pr-2 text-sm">No camera at hand</legend>
      <p className="mb-2 text-sm text-quiet">The stand-in takes a picture of a sample piece, to try it all out.</p>
      <div className="flex flex-wrap gap-2">
        <select
          className="field min-w-0 flex-1"
          aria-label="Sample pattern for the stand-in"
          value={sample}
          onChange={(e) => setSample(e.target.value as typeof sample)}
        >
          {SAMPLE_IDS.map((id) => (
            <option key={id} value={id}>
              {sampleName(id)}
            </option>
          ))}
        </select>
        <select
          className="field min-w-0 flex-1"
          aria-label="Piece for the stand-in"
          value={piece}
          onChange={(e) => setPiece(e.target.value)}
        >
          {pieces.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
        <select
          className="field min-w-0 flex-1"
          aria-label="Part of the piece for the stand-in"
          value={part}
          onChange={(e) => setPart(e.target.value as typeof part)}
        >
          {Object.entries(PARTS).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <button className="btn" onClick={() => standIn(false)}>
          Stand-in camera
        </button>
        <button className="btn" onClick={() => standIn(true)}>
          Stand-in scanner
        </button>
      </div>
    </fieldset>
  );
}
