import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless/index.js';

setupZonelessTestEnv();
