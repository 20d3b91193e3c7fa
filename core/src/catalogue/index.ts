export * from './kinds/battery/chemistry.js';
