import Link from 'next/link';
import { notFound as WORDS } from './words';

export default function NotFound() {
  return (
    <main style={{ padding: '2rem' }}>
      <h1>{WORDS.nothingHere}</h1>
      <p>
        {WORDS.why}
        <Link href="/">{WORDS.goToTheProjects}</Link>
      </p>
    </main>
  );
}
