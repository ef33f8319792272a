import type { FastenerSpec } from './spec.js';
import { lookalikesOf, type Thread } from './thread.js';

/** What may go wrong where another fastener is put in. */
export interface Risk {
  readonly about: 'thread' | 'length' | 'class' | 'head' | 'form';
  /** It may hurt somebody or break what it holds. */
  readonly grave: boolean;
  readonly words: string;
}

/** Lengths this close are the same. */
const SAME_LENGTH_MM = 1;
/** A bolt is in by about its own diameter; shorter by this share of that, the threads carry less than the bolt. */
const TOO_FEW_THREADS = 0.25;

/**
 * What may go wrong where `other` goes in the place of `own`: thread, length, property class, head. None where nothing
 * speaks against it as far as both are known; the maker’s list has the last word.
 */
export function substitutionRisks(own: FastenerSpec, other: FastenerSpec): readonly Risk[] {
  const risks: Risk[] = [];
  if (own.form !== other.form && own.form !== 'other' && other.form !== 'other')
    risks.push({ about: 'form', grave: true, words: `A ${other.form} in the place of a ${own.form}.` });
  const thread = threadRisk(own.thread, other.thread);
  if (thread) risks.push(thread);
  const length = lengthRisk(own, other);
  if (length) risks.push(length);
  const grade = classRisk(own.propertyClass, other.propertyClass);
  if (grade) risks.push(grade);
  if (own.flanged === true && other.flanged !== true && other.form !== 'other')
    risks.push({
      about: 'head',
      grave: false,
      words: 'No flange: the head presses on less, sinks in and loses its hold. Put a hard washer under it.',
    });
  if (own.driveSize !== undefined && other.driveSize !== undefined && own.driveSize !== other.driveSize)
    risks.push({
      about: 'head',
      grave: false,
      words: `Another head (${other.driveSize} for ${own.driveSize}): look whether a socket still gets onto it.`,
    });
  return risks;
}

function threadRisk(own: Thread | undefined, other: Thread | undefined): Risk | undefined {
  if (!own || !other || own.name === other.name) return undefined;
  if (lookalikesOf(own).some(({ name }) => name === other.name))
    return {
      about: 'thread',
      grave: true,
      words: `${other.name} starts in an ${own.name} hole by a few turns and then strips it.`,
    };
  if (own.diameterMm === other.diameterMm)
    return {
      about: 'thread',
      grave: true,
      words: `Same size, another pitch: ${other.name} goes in one turn and then cuts across ${own.name}.`,
    };
  return {
    about: 'thread',
    grave: true,
    words:
      other.diameterMm < own.diameterMm
        ? `${other.name} is loose in an ${own.name} hole and pulls out.`
        : `${other.name} does not go into an ${own.name} hole.`,
  };
}

function lengthRisk(own: FastenerSpec, other: FastenerSpec): Risk | undefined {
  if (own.lengthMm === undefined || other.lengthMm === undefined) return undefined;
  const more = other.lengthMm - own.lengthMm;
  if (Math.abs(more) <= SAME_LENGTH_MM) return undefined;
  if (more > 0)
    return {
      about: 'length',
      grave: true,
      words: `${more} mm longer: in a blind hole it bottoms out, feels tight and clamps nothing, or breaks through.`,
    };
  const diameterMm = own.thread?.diameterMm ?? 0;
  const grave = -more >= TOO_FEW_THREADS * diameterMm;
  return {
    about: 'length',
    grave,
    words: `${-more} mm shorter: fewer threads carry it${grave ? ', and they strip under torque' : ''}.`,
  };
}

/** Proof stress in MPa, to tell a weaker class (ISO 898-1; SAE J429 in MPa). */
const PROOF_MPA: Readonly<Record<string, number>> = {
  '4.6': 225,
  '4.8': 310,
  '5.8': 380,
  '8.8': 580,
  '10.9': 830,
  '12.9': 970,
  'grade 2': 379,
  'grade 5': 586,
  'grade 8': 827,
};
/** Classes whose proof stress is this close hold the same. */
const SAME_STRENGTH = 0.02;

function classRisk(own: string | undefined, other: string | undefined): Risk | undefined {
  if (own === undefined || own === other) return undefined;
  if (other === undefined)
    return { about: 'class', grave: false, words: `Nobody knows its class; ${own} belongs here. Look at the head.` };
  const [wanted, there] = [PROOF_MPA[own], PROOF_MPA[other]];
  if (wanted === undefined || there === undefined) return undefined;
  if (there < wanted * (1 - SAME_STRENGTH))
    return {
      about: 'class',
      grave: true,
      words: `Weaker: ${other} for ${own}. It stretches at the book torque and breaks or comes loose.`,
    };
  if (there > wanted * (1 + SAME_STRENGTH))
    return {
      about: 'class',
      grave: false,
      words: `Harder: ${other} for ${own}. It is more brittle, and the book torque was made for the other.`,
    };
  return undefined;
}
