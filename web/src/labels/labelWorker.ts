import { drawJob } from './drawJob.ts';
import type { LabelAnswer, LabelRequest } from './drawJob.ts';

self.onmessage = ({ data }: MessageEvent<LabelRequest>) => {
  const answer = (message: LabelAnswer) => self.postMessage(message);
  try {
    const sheets = drawJob(data, (done, of) => answer({ type: 'progress', done, of }));
    answer({ type: 'drawn', sheets });
  } catch (error) {
    answer({ type: 'failed', message: error instanceof Error ? error.message : 'it failed' });
  }
};
