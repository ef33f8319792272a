import base from './jest.config.mjs';

/** The specs as `scripts/gather-specs.mjs` gathers them: a few files for each workspace. */
const gathered = (project) => ({
  ...project,
  testMatch: [`<rootDir>/gathered-specs/*.spec.${project.displayName === 'web' ? 'js' : 'ts'}`],
});

const { default: web } = await import('./web/jest.config.mjs');

export default {
  ...base,
  projects: [
    ...base.projects.filter((project) => typeof project === 'object').map(gathered),
    gathered({ ...web, rootDir: 'web' }),
  ],
};
