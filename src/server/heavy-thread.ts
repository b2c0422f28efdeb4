import { releaseProxy, wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { Worker } from 'node:worker_threads';
import { ProblemError } from './problems.ts';

/** What a thread may take, and how long it stays when nobody asks. */
export interface ThreadLimits {
  readonly memoryMb: number;
  readonly answerMs: number;
  readonly idleMs: number;
  /** Questions at once; more are asked to come again. */
  readonly questions: number;
}

const TRY_LATER = 'This could not be worked out now. Ask again when the machine has less to do.';
const tooMuch = (detail: string): ProblemError => new ProblemError(503, 'Busy', detail);

export interface HeavyThread<Api> {
  /** Asks the thread; questions that come together are answered in turns, as far as its program lets them. */
  readonly ask: <Answer>(question: (api: Remote<Api>) => Promise<Answer>) => Promise<Answer>;
  readonly end: () => void;
}

/** A thread while it runs, and whoever waits for an answer of it: they hear when it ends. */
function startThread<Api>(program: string, memoryMb: number) {
  const worker = new Worker(program, { resourceLimits: { maxOldGenerationSizeMb: memoryMb } });
  // Whoever ends the server does not wait for it.
  worker.unref();
  const waiting = new Set<(problem: ProblemError) => void>();
  // Its end follows, and tells those who wait.
  worker.on('error', () => undefined);
  worker.on('exit', () => {
    for (const giveUp of waiting) giveUp(tooMuch(`${TRY_LATER} The thread that worked it out was ended.`));
  });
  const api = wrap<Api>(nodeEndpoint(worker));
  const end = () => {
    api[releaseProxy]();
    void worker.terminate();
  };
  return { api, waiting, end };
}

/**
 * A thread for what takes long, so that nobody else waits for it: begun when something is asked of it, ended when nothing
 * was for a while. What asks too much of it is answered 503 and takes its memory along.
 */
export function heavyThread<Api>(program: string, limits: ThreadLimits): HeavyThread<Api> {
  let thread: ReturnType<typeof startThread<Api>> | undefined;
  let asked = 0;
  let idle: NodeJS.Timeout | undefined;

  const end = () => {
    clearTimeout(idle);
    thread?.end();
    thread = undefined;
  };

  async function answerOf<Answer>(question: (api: Remote<Api>) => Promise<Answer>): Promise<Answer> {
    const asks = (thread ??= startThread<Api>(program, limits.memoryMb));
    let forget = () => {};
    const answer = new Promise<Answer>((resolve, reject) => {
      const late = setTimeout(
        () => reject(tooMuch(`${TRY_LATER} It was given up after ${limits.answerMs / 1000} seconds.`)),
        limits.answerMs,
      );
      asks.waiting.add(reject);
      forget = () => {
        clearTimeout(late);
        asks.waiting.delete(reject);
      };
      question(asks.api).then(resolve, reject);
    });
    try {
      return await answer;
    } catch (error) {
      if (error instanceof ProblemError && thread === asks) end();
      throw error;
    } finally {
      forget();
    }
  }

  return {
    async ask(question) {
      if (asked >= limits.questions) throw tooMuch('Others are being answered. Ask again in a moment.');
      asked += 1;
      clearTimeout(idle);
      try {
        return await answerOf(question);
      } finally {
        asked -= 1;
        if (asked === 0) idle = setTimeout(end, limits.idleMs).unref();
      }
    },
    end,
  };
}
