export * from './fitCommands.js';
export * from './formCommands.js';
export * from './insideCommands.js';
export * from './paletteCommands.js';
export * from './remedies.js';
export * from './ringCommands.js';
export * from './sliceCommands.js';
export * from './stackCommands.js';
