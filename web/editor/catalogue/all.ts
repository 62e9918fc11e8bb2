// The catalogue as one part of the page's script, fetched when it is first needed (`use-catalogue.ts`).
export { axesCalled } from '@rigid-beam/core/sections/catalogue/axes';
export { catalogue } from '@rigid-beam/core/sections/catalogue/all';
export { exchangeSection, giveShape } from '@rigid-beam/core/sections/catalogue/give';
export { listed, plasticOf } from '@rigid-beam/core/sections/catalogue/listed';
export { neighbour, searchCatalogue, shapeCalled } from '@rigid-beam/core/sections/catalogue/search';
