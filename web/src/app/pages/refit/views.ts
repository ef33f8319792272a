/** What is loaded together, besides the working step itself: one file each for the browser to fetch cost more than all of them at once. */
export { FirstInBoard } from './first-in';
export { Together } from './together';
export { SetAndTry } from './set-and-try';
export { Fluids } from './fluids';
export { Wrenches } from './wrenches';
