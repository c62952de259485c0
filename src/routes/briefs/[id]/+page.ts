import { redirect } from '@sveltejs/kit';
import { brief } from '$lib/frame/paths';

export const load = ({ params }: { params: { id: string } }) => redirect(307, brief(params.id, 'persona'));
