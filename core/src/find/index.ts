/**
 * Finding again: where is the starter bolt? Words are looked for in everything a job knows by name: joints with their
 * fasteners, tag and bag, notes, parts and where they are, photos, pages of the literature.
 */
export { findableIn, findIn, hitsAmong, whereabouts, type Findable, type Hit } from './find-in.js';
export { findPhotos, photosAt, photosOf, photosOfPart, type PhotoQuery, type ShownPhoto } from './photos.js';
export { answersAll, wordsAsked } from './words.js';
