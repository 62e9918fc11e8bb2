// Recovery of one case in AssemblyScript: what \`../recovery-kernels.ts\` describes, on places in bytes. 
// N′ = −qx, V′ = q, M′ = V; curvatures κ = EI⁻¹·M plus what is imposed; the slopes rz and −ry grow by κ, v′ and w′ are the slopes less the
// shear angles, u′ = N/EA + ε. No branch depends on the loads of a member.
// \`node scripts/build-kernels.mjs\` compiles this file and those beside it into \`../recovery-bytes.ts\`.
export { diagrams } from './diagrams';
export { ends } from './ends';
export { joints } from './joints';
