// Where a test file runs: Jest's own environment of Node, whose globals are the globals of a plain context. Jest makes them through a
// proxy, by which each `Math` or `Map` that a loop names costs a hundred times as much: what reads a long program took four times
// as long. A Node that has no plain contexts yet (before 20.18) takes the usual ones.
import { TestEnvironment } from 'jest-environment-node';
import vm from 'node:vm';

const create = vm.createContext;

export default class PlainGlobals extends TestEnvironment {
  constructor(config, context) {
    const plain = vm.constants?.DONT_CONTEXTIFY;
    if (plain) vm.createContext = () => create(plain);
    try {
      super(config, context);
    } finally {
      vm.createContext = create;
    }
  }
}
