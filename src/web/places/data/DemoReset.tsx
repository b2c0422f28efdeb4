import { Button, Popconfirm } from 'antd';
import { sentencesOf } from '../../api/failures.ts';
import { DEMO_GARDEN_ID } from '../../ui/guide/demo-garden.ts';
import { useOpenDemo } from '../../ui/guide/use-open-demo.ts';

/** Resets the demo garden; there is nothing in it that anybody needs. */
export function DemoReset({ gardenId }: { gardenId: string }) {
  const demo = useOpenDemo();
  const isDemo = gardenId === DEMO_GARDEN_ID;
  return (
    <section aria-label="The demo garden">
      <div className="section-head">
        <h2>The demo garden</h2>
      </div>
      <p>
        {isDemo
          ? 'This is the demo garden: invented, and there to be tried on. You can reset it as often as you like, with a short way through it.'
          : 'An invented garden, Ternhollow, with two years of history: to look around in without touching your own.'}
      </p>
      {isDemo ? (
        <Popconfirm
          title="Reset the demo garden?"
          description="What was written into it goes for good."
          okText="Reset demo garden"
          cancelText="Cancel"
          onConfirm={demo.makeAfresh}
        >
          <Button loading={demo.isPending}>Reset demo garden</Button>
        </Popconfirm>
      ) : (
        <Button loading={demo.isPending} onClick={demo.open}>
          Open the demo garden
        </Button>
      )}
      {Object.values(sentencesOf(demo.failure)).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}
