const key = 'eave-theme';
export type Theme = 'white' | 'g100';

/** Light or dark: as the system says until the person chooses. */
class ThemeChoice {
  current: Theme = $state('white');

  start(): void {
    const chosen = localStorage.getItem(key);
    this.set(
      chosen === 'white' || chosen === 'g100'
        ? chosen
        : matchMedia('(prefers-color-scheme: dark)').matches
          ? 'g100'
          : 'white'
    );
  }

  toggle(): void {
    this.set(this.current === 'white' ? 'g100' : 'white');
    localStorage.setItem(key, this.current);
  }

  private set(theme: Theme): void {
    this.current = theme;
    document.documentElement.setAttribute('theme', theme);
  }
}

export const theme = new ThemeChoice();
