export * from './formCommands.js';
export * from './paletteCommands.js';
export * from './ringCommands.js';
