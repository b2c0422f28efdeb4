import { Button } from 'antd';
import { useState } from 'react';
import { type FingerQuestion, SOIL_TEXTURES, type SoilTexture, fingerStep } from '../../../core/bed/index.ts';
import { FingerDrawing } from '../../drawing/finger-drawings.tsx';
import { TEXTURE_WORDS } from '../../../words/words.ts';

const QUESTIONS: Record<FingerQuestion, string> = {
  holdsABall: 'Wet a spoonful and knead it. Does it hold together as a ball?',
  rollsToASausage: 'Roll it between the hands. Does it make a sausage as thick as a finger?',
  rollsPencilThin: 'Roll on. Does it get as thin as a pencil without breaking?',
  bendsToARing: 'Bend it. Does it close into a ring without cracking?',
};

interface FingerTestProps {
  readonly onFound: (clayPct: number) => void;
  readonly onClose: () => void;
}

/** Four questions with the hands, leading to a texture. */
export function FingerTest({ onFound, onClose }: FingerTestProps) {
  const [answers, setAnswers] = useState<readonly boolean[]>([]);
  const step = fingerStep(answers);
  const answer = (yes: boolean) => setAnswers((before) => [...before, yes]);
  return (
    <div className="finger-test" role="group" aria-label="Finger test" aria-live="polite">
      {'ask' in step ? (
        <>
          <FingerDrawing question={step.ask} />
          <p>{QUESTIONS[step.ask]}</p>
          <Button onClick={() => answer(true)}>Yes</Button>
          <Button onClick={() => answer(false)}>No</Button>
        </>
      ) : (
        <>
          <p>
            It is <strong>{TEXTURE_WORDS[step.texture]}</strong>, about {clayOf(step.texture)} % clay.
          </p>
          <Button type="primary" onClick={() => onFound(clayOf(step.texture))}>
            Use that
          </Button>
        </>
      )}
      {answers.length > 0 && (
        <Button type="link" onClick={() => setAnswers((before) => before.slice(0, -1))}>
          One back
        </Button>
      )}
      <Button type="link" onClick={onClose}>
        Leave the test
      </Button>
    </div>
  );
}

const clayOf = (texture: SoilTexture): number => SOIL_TEXTURES.find(({ id }) => id === texture)!.clayPct;
