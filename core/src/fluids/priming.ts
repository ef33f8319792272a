/** How oil is brought to the bearings before the engine fires: the schools, and what each takes. */
export const PRIMING_WAYS = ['gallery', 'crank', 'filter'] as const;
export type PrimingWay = (typeof PRIMING_WAYS)[number];
