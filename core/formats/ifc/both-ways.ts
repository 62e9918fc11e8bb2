export { leftOutOf } from './left-out';
export { readIfc } from './read-ifc';
export { writeIfc } from './write-ifc';
