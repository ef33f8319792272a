/** What is loaded together: one file each for the browser to fetch cost more than all of them at once. */
export { Bags } from '../bags/bags';
export { SetCard } from '../bags/set-card';
export { Mystery } from '../mystery/mystery';
export { Photos } from '../photos/photos';
export { PhotoView } from '../photos/photo-view';
export { LiteratureList } from '../literature/literature';
export { PageView } from '../literature/page-view';
export { RecordView } from '../record/record';
export { Handover } from '../handover/handover';
