export type { Constant } from './constant';
export * from './edge';
export * from './fit';
export * from './keeping';
export * from './kit';
export * from './trial';
export * from './use';
export * from './words';
