/** What is loaded together: one file each for the browser to fetch cost more than all of them at once. */
export { Bench } from './bench';
export { NowOrLaterView } from './now-or-later';
export { Looked } from './looked';
export { Looms } from './looms';
export { Where } from './where';
export { Parts } from './parts';
