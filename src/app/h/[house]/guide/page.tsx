import type { Metadata } from 'next';
import { visitHouse } from '@/server/visit';
import { GlyphParts } from '@/ui/section/GlyphParts';
import { sectionsOf } from '@/ui/section/sectionsOf';
import { GuideView } from '@/views/guide/GuideView';
import { guideCards } from '@/views/guide/guideCards';

export const metadata: Metadata = { title: 'Field guide' };

export default async function GuidePage({ params }: { readonly params: Promise<{ house: string }> }) {
  const { house } = await params;
  const { snapshot } = await visitHouse(house);
  return (
    <>
      <GlyphParts sections={sectionsOf(snapshot)} />
      <GuideView cards={guideCards(snapshot)} />
    </>
  );
}
