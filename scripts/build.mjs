import { ensureBuild, ensureDependencies } from './setup.mjs';

ensureDependencies();
ensureBuild();
