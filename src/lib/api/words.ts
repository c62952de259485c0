import { catalogue } from '$lib/words/catalogue';

export const call = catalogue('api/call', {
  notResponding: 'Eave isn’t responding',
  couldntReachServer: 'Couldn’t reach the Eave server. Start it again with npm start; your changes stay on this page.',
  refused: 'Refused',
  serverRefusedThis: 'The server refused this request.'
});
