import { ProjectsPage } from '../projects/ProjectsPage';
import { projectTiles } from '../server/tiles';

export const dynamic = 'force-dynamic';

export default async function HomePage() {
  return <ProjectsPage projects={await projectTiles()} />;
}
