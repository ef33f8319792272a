/// <reference lib="webworker" />
import { tidied } from './tidied';

addEventListener('message', ({ data }: MessageEvent<{ readonly id: number; readonly file: Blob }>) => {
  tidied(data.file).then(
    (photo) => postMessage({ id: data.id, photo }),
    () => postMessage({ id: data.id }),
  );
});
