/** What is loaded together: one file each for the browser to fetch cost more than all of them at once. */
export { Find } from '../find/find';
export { PeopleView } from '../people/people';
export { LabelLanding } from '../label-landing/label-landing';
export { NotHere } from '../../shell/not-here';
