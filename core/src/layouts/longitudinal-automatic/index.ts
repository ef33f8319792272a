/** Longitudinal front engine, automatic gearbox, rear drive: common-rail diesel with charge cooler. */
import type { ConnectionMap } from '../../connection-map/index.js';
import { airAndFuel } from './air-and-fuel.js';
import { body } from './body.js';
import { cooling } from './cooling.js';
import { electrics } from './electrics.js';
import { exhaustAndDriveline } from './exhaust-and-driveline.js';
import { circuits, conditions } from './make-safe-and-fluids.js';
import { parts } from './parts.js';
import { insidePowerpack, pumpsAndMounts } from './pumps-and-mounts.js';
import { checks, holdPoints, powerpacks, routes } from './route-and-checks.js';

export const longitudinalAutomatic: ConnectionMap = {
  layout: 'longitudinal-automatic',
  name: 'Longitudinal front engine, automatic, rear drive',
  body: 'body',
  parts,
  connections: [
    ...electrics,
    ...body,
    ...airAndFuel,
    ...cooling,
    ...exhaustAndDriveline,
    ...pumpsAndMounts,
    ...insidePowerpack,
  ],
  conditions,
  circuits,
  holdPoints,
  powerpacks,
  routes,
  checks,
};
