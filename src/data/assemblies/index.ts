export * from './assemblies';
