/** What is loaded together: one file each for the browser to fetch cost more than all of them at once. */
export { Plan } from './plan';
export { WaysOut } from './ways-out';
export { Schools } from './schools';
export { Tools } from './tools';
