import { PageLink } from '@/ui/PageLink';
import { Sign } from '@/ui/Sign';

export default function NotFound() {
  return (
    <main className="grid min-h-dvh place-items-center p-6 text-center">
      <div className="max-w-md space-y-4">
        <Sign className="mx-auto size-14" />
        <h1>Not here</h1>
        <p className="text-muted">
          No house, room or page has this address. It may have been deleted, or the link was cut short.
        </p>
        <PageLink href="/" className="btn btn-primary btn-lg">
          To the house
        </PageLink>
      </div>
    </main>
  );
}
