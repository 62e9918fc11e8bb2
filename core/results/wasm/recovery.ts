// Recovery of one case in AssemblyScript: what \`../recovery-kernels.ts\` describes, on places in bytes. The formulas are those of
// \`addEndForces\`, \`recoverMember\` and \`balanceOfNodes\`, without a branch that depends on the loads of a member.
// \`node scripts/build-kernels.mjs\` compiles this file and those beside it into \`../recovery-bytes.ts\`.
export { diagrams } from './diagrams';
export { ends } from './ends';
export { joints } from './joints';
