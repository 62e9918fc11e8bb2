/** All that this room says, by the file that says it: read it through and correct it here. */

export const route = {
  nothingAtThisAddress: 'There is nothing at this address',
  noModel: 'There is no such model',
  noRevision: 'There is no such revision',
  noPicture: 'This model has no such picture',
  noProject: 'There is no such project',
};

export const layout = {
  rigidBeam: 'Rigid Beam',
  description: 'Frames and trusses, drawn and solved',
};

export const page = {
  untitled: 'Untitled',
  titled: (title: string): string => `${title} · Rigid Beam`,
  noSuchModelRigidBeam: 'No such model · Rigid Beam',
};

export const notFound = {
  nothingHere: 'There is nothing at this address',
  why: 'A model that was removed can be brought back from the projects page.',
  goToTheProjects: 'Go to the projects',
};

export const failed = {
  title: 'This page could not be shown',
  why: (message: string): string => `${message}. What was stored is stored; nothing of it is lost.`,
  again: 'Show it again',
  goToTheProjects: 'Go to the projects',
};

export const reference = {
  title: 'For programs · Rigid Beam',
  example: (address: string): string => `TOKEN=$(npx rigid-beam token make spreadsheet)
curl -H "Authorization: Bearer $TOKEN" ${address}/api/projects
curl -H "Authorization: Bearer $TOKEN" "${address}/api/models/ID/tables/reactions?format=csv&case=U1"`,
};
