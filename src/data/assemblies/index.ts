export * from './assemblies';
export * from './write';
