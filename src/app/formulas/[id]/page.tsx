import { redirect } from 'next/navigation';

export default async function FormulaPage({ params }: { params: Promise<{ id: string }> }) {
  redirect(`/formulas/${(await params).id}/balance`);
}
