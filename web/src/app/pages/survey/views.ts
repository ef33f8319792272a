/** What is loaded together: one file each for the browser to fetch cost more than all of them at once. */
export { Survey } from './survey';
export { SurveyMap } from './survey-map';
export { Files } from '../survey-files/files';
export { DonorView } from '../donor/donor';
export { Joints } from '../donor/joints';
export { PullList } from '../donor/pull-list';
