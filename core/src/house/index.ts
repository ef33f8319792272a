/**
 * House: what the shop learned on machines of one kind, from the ledgers of its other jobs: notes it wanted kept, what
 * fought back and what helped, and how long steps really take here.
 */
export {
  houseOf,
  lessonsOf,
  type HouseCause,
  type HouseFound,
  type HouseKnowledge,
  type HouseNote,
  type HouseTrouble,
  type Lessons,
  type PastJob,
} from './house.js';
export { learnedMinutes, type Learned } from './learned.js';
