<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

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

    /** @return array<string, array{string, int}> address, and how large what is touched is there */
    public static function targets(): array
    {
        return ['shelf' => ['/', 24], 'wall' => ['/blocks/3/wall', 44], 'cut' => ['/blocks/3/cut', 24], 'order' => ['/blocks/3/order', 24], 'press' => ['/blocks/3/press', 44], 'joins' => ['/blocks/3/joins', 24], 'machine' => ['/blocks/3/machine', 44], 'top' => ['/tops/1', 24], 'top at the machine' => ['/tops/1/sew', 24], 'words' => ['/words', 24], 'photograph' => ['/blocks/3/photo', 24]];
    }

    /** Links within a line of text are as high as the line. */
    #[DataProvider('targets')]
    public function test_fifteen_stops_lead_to_the_work_the_skip_to_it_at_once_and_all_that_is_touched_is_large_enough(string $path, int $least): void
    {
        $this->visit($path);
        $this->find('[data-work]');
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.querySelector("h1") !== null') === true, 'nothing is there');
        $small = $this->browser->executeScript(<<<'JS'
            const [least] = arguments
            const shown = (one) => one.checkVisibility() && !one.closest('.visually-hidden') && getComputedStyle(one).opacity !== '0'
            const target = (one) => (one.closest('.el-checkbox, .el-radio, .el-select__wrapper, .el-input__wrapper, .el-input-number, .el-radio-button') ?? one).getBoundingClientRect()
            return [...document.querySelectorAll('a[href], button, summary, input, [role=radio], [role=tab]')].filter(shown)
                .filter((one) => getComputedStyle(one).display !== 'inline')
                .filter((one) => Math.min(target(one).width, target(one).height) < least - 0.5)
                .map((one) => `${one.tagName}.${one.className} ${(one.getAttribute('aria-label') ?? one.textContent).trim().slice(0, 30)}`)
            JS, [$least]);
        self::assertSame([], $small);

        $isThere = fn (): bool => $this->browser->executeScript('return document.querySelector("[data-work]")?.contains(document.activeElement) === true') === true;
        for ($stops = 0; $stops < 16 && ! $isThere(); ++$stops) {
            $this->press(WebDriverKeys::TAB);
        }
        self::assertLessThanOrEqual(15, $stops);
        $this->visit($path);
        $this->find('[data-work]');
        $this->press(WebDriverKeys::TAB);
        self::assertSame('Skip to the work', $this->browser->switchTo()->activeElement()->getText());
        $this->press(WebDriverKeys::ENTER);
        $this->waitUntil($isThere, 'the skip leads elsewhere');
        $seen = $this->browser->executeScript('const style = getComputedStyle(document.activeElement); return document.activeElement instanceof SVGElement || style.outlineStyle !== "none" || style.boxShadow !== "none" || document.activeElement.closest(".el-checkbox, .el-radio, .el-select, .el-input, .el-input-number") !== null');
        self::assertTrue($seen, 'one sees where the focus is');
    }

    private function isOn(string $title): void
    {
        $this->waitUntil(fn (): bool => $this->browser->getTitle() === "$title · Keen Seam", "the title is not $title");
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.activeElement === document.querySelector("h1")') === true, "the focus is not at the heading of $title");
    }
}
