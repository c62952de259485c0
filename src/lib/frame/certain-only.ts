import { page } from '$app/state';

/** Whether this brief counts only those who are certain; kept with the brief, so that every screen goes by it. */
export const certainOnly = (): boolean => page.data.brief?.certainOnly === true;

/** Which of a figure's two readings is shown. */
export const reading = (): 'certain' | 'possible' => (certainOnly() ? 'certain' : 'possible');

/** The same for addresses of the API. */
export const certainQuery = (): 'true' | 'false' => (certainOnly() ? 'true' : 'false');
