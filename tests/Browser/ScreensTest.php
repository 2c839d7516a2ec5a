<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** Every screen says in the window's title what it is, and after a change of screen the keyboard goes on from its heading. */
final class ScreensTest extends BrowserTestCase
{
    /** Kilobytes on first load, gzipped. */
    private const MOST = 200;

    public function test_every_screen_has_a_title_of_its_own_and_takes_the_focus_to_its_heading(): void
    {
        $this->visit('/');
        $this->seesText('On the shelf');
        self::assertSame('On the shelf · Keen Seam', $this->browser->getTitle());
        $this->find('a[aria-label="Open Slack Water"]')->click();
        $this->isOn('Order of sewing, Slack Water');
        foreach (['Press' => 'Press, Slack Water', 'Wall' => 'Wall, Slack Water', 'Cut and make' => 'Cut and make, Slack Water', 'Order' => 'Order of sewing, Slack Water', 'Joins' => 'Joins, Slack Water', 'Machine' => 'Harbour ink, Slack Water'] as $station => $title) {
            $this->browser->findElement(WebDriverBy::xpath("//nav//a[span[@class='word' and normalize-space()='$station']]"))->click();
            $this->isOn($title);
        }
        $this->press(' ');
        $this->waitUntil(fn (): bool => $this->browser->getTitle() === 'Lamp gold, Slack Water · Keen Seam', 'the title does not go on with the steps');
        $this->browser->findElement(WebDriverBy::linkText('Logbook'))->click();
        $this->isOn('Logbook, Slack Water');
    }

    public function test_the_first_load_is_small_and_stations_come_by_themselves(): void
    {
        $built = self::root().'/public/build';
        $manifest = json_decode((string) file_get_contents("$built/manifest.json"), true, 512, JSON_THROW_ON_ERROR);
        $size = 0;
        $files = [];
        $take = static function (string $name) use (&$take, &$files, $manifest): void {
            if (! isset($files[$manifest[$name]['file']])) {
                $files[$manifest[$name]['file']] = true;
                foreach ($manifest[$name]['css'] ?? [] as $css) {
                    $files[$css] = true;
                }
                array_map($take, $manifest[$name]['imports'] ?? []);
            }
        };
        $take('resources/js/main.ts');
        foreach (array_keys($files) as $file) {
            $size += strlen((string) gzencode((string) file_get_contents("$built/$file")));
        }
        self::assertLessThan(self::MOST * 1024, $size);
        self::assertGreaterThan(7, count($manifest['resources/js/main.ts']['dynamicImports']) + 1);
    }

    private function isOn(string $title): void
    {
        $this->waitUntil(fn (): bool => $this->browser->getTitle() === "$title · Keen Seam", "the title is not $title");
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.activeElement === document.querySelector("h1")') === true, "the focus is not at the heading of $title");
    }
}
