import { ProjectsPage } from '../projects/ProjectsPage';
import { AT_ONCE } from '../projects/arranged';
import { shownTiles } from '../server/tiles';

export const dynamic = 'force-dynamic';

export default async function HomePage() {
  return <ProjectsPage first={await shownTiles({ search: '', sorting: 'made', count: AT_ONCE })} />;
}
