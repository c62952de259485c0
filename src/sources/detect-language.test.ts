import { describe, expect, it } from 'vitest';
import { withLanguageRead as read } from './detect-language';

/** What people say of themselves in the lexicon's languages. Written for this test. */
const received: Record<string, string> = {
  en: 'I look after the quality of everything that leaves our kitchen and train the people who cook there.',
  de: 'Ich verantworte die Qualität unserer Küche und schule die Menschen, die dort jeden Tag arbeiten.',
  da: 'Jeg har ansvaret for kvaliteten i vores køkken og oplærer de mennesker, som arbejder der hver dag.',
  sv: 'Jag ansvarar för kvaliteten i vårt kök och utbildar de människor som arbetar där varje dag.',
  no: 'Jeg har ansvaret for kvaliteten på kjøkkenet vårt og lærer opp dem som jobber der hver dag.',
  nl: 'Ik ben verantwoordelijk voor de kwaliteit van onze keuken en leid de mensen op die er elke dag werken.',
  fr: 'Je suis responsable de la qualité de notre cuisine et je forme les personnes qui y travaillent chaque jour.',
  es: 'Soy responsable de la calidad de nuestra cocina y formo a las personas que trabajan en ella cada día.',
  pt: 'Sou responsável pela qualidade da nossa cozinha e formo as pessoas que lá trabalham todos os dias.',
  it: 'Sono responsabile della qualità della nostra cucina e formo le persone che ci lavorano ogni giorno.',
  pl: 'Odpowiadam za jakość naszej kuchni i szkolę ludzi, którzy pracują tam każdego dnia.',
  fi: 'Vastaan keittiömme laadusta ja koulutan ihmisiä, jotka työskentelevät siellä joka päivä.',
  cs: 'Odpovídám za kvalitu naší kuchyně a školím lidi, kteří tam každý den pracují.'
};

describe('the language of a profile', () => {
  it('is read out of what people say of themselves, in each language of the lexicon, and marked', async () => {
    for (const [language, about] of Object.entries(received))
      expect(await read({ id: '1', name: 'A', about }), language).toMatchObject({ language, read: ['language'] });
  });

  it('is not guessed from little text, and never replaces one that is listed', async () => {
    expect(
      await read({ id: '1', name: 'Ana', jobs: [{ title: 'Chef', company: 'La Mesa' }], about: 'Cocina' })
    ).not.toHaveProperty('language');
    expect(await read({ id: '1', name: 'Ana', about: received.es!, language: 'pt' })).toMatchObject({ language: 'pt' });
  });
});
