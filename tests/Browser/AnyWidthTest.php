<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** On a phone, a small tablet, a tablet and a desk: no page is wider than the window, and no control lies outside it. */
final class AnyWidthTest extends BrowserTestCase
{
    private const SCREENS = ['/' => '.shelf', '/blocks/2/wall' => '.wall-grid', '/blocks/2/order' => '.order-card', '/blocks/2/press' => '.block-back', '/blocks/2/cut' => '.unit-card', '/blocks/2/joins' => '.join-sheet', '/blocks/2/machine' => '.step', '/logbook' => 'main', '/tops/1' => '.top-face', '/tops/1/sew' => '.top-machine .panel', '/words' => '.words', '/blocks/2/photo' => '.photo-screen', '/shared' => '.shared'];

    /** @return array<string, array{int, int}> */
    public static function windows(): array
    {
        return ['phone, 360' => [360, 740], 'phone' => [390, 844], 'phone lying down' => [740, 360], 'small tablet' => [640, 900], 'tablet' => [820, 1180], 'desk' => [1280, 800], 'desk, what a browser leaves of it' => [1280, 657], 'desk at 200 %' => [640, 400], 'desk at 400 %' => [320, 256]];
    }

    #[DataProvider('windows')]
    public function test_no_page_is_wider_than_the_window_and_no_control_lies_outside(int $width, int $height): void
    {
        // Headless windows refuse to be narrower than some hundreds of pixels: the page is told its size.
        $this->windowOf($width, $height);
        $wrong = [];
        foreach (self::SCREENS as $path => $shown) {
            $this->visit($path);
            $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.querySelector("h1") !== null') === true, "$path shows nothing");
            $this->waitUntilLoaded();
            // What folds is open too, and an order of one's own begun.
            $this->browser->executeScript('document.querySelectorAll("main details, aside details").forEach((one) => { if (!one.closest("header")) one.open = true }); [...document.querySelectorAll("button")].find((one) => one.textContent.startsWith("Sew it in an order of your own"))?.click()');
            $this->waitUntilLoaded();
            $found = $this->browser->executeScript(<<<'JS'
                const width = window.innerWidth
                const scrolls = (element) => { for (let at = element.parentElement; at; at = at.parentElement) { const x = getComputedStyle(at).overflowX; if ((x === 'auto' || x === 'scroll') && at.scrollWidth > at.clientWidth) return true } return false }
                const seen = (element) => { const style = getComputedStyle(element); const box = element.getBoundingClientRect(); return style.visibility !== 'hidden' && box.width > 1 && box.height > 1 && !element.closest('dialog:not([open]), .visually-hidden, details:not([open]) > :not(summary)') }
                const outside = [...document.querySelectorAll('a, button, input, select, summary, textarea, h1, h2, p')].filter((element) => seen(element) && !scrolls(element)).filter((element) => { const box = element.getBoundingClientRect(); return box.right > width + 1 || box.left < -1 })
                return [document.scrollingElement.scrollWidth - width, outside.slice(0, 4).map((element) => element.tagName + '.' + element.className + ' ' + element.textContent.trim().slice(0, 30))]
                JS);
            if ($found[0] > 0 || $found[1] !== []) {
                $wrong[$path] = $found;
            }
            $this->look("$width-".str_replace('/', '-', $path));
        }
        $this->visit('/blocks/2/machine');
        $this->find('.step[data-step]');
        foreach ([1, 2, 3, 4] as $step) {
            $this->waitUntilLoaded();
            $isSeen = $this->browser->executeScript('const seen = (element) => { const box = element?.getBoundingClientRect(); return !!box && box.height > 40 && box.top >= 0 && box.top < innerHeight - 40 && (element.tagName === "svg" || box.bottom <= innerHeight) }; return [seen(document.querySelector(".deed.done")), seen(document.querySelector(".pictures svg"))]');
            // At 400 % there is room for one of them: the picture is scrolled to.
            self::assertSame([true, $height < 300 ? $isSeen[1] : true], $isSeen, "the main button and the picture of step $step");
            $this->press(WebDriverKeys::ENTER);
            $this->find(".step[data-step=\"$step\"]");
        }
        $this->look("$width-machine-4");
        self::assertSame([], $wrong, json_encode($wrong, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT));
    }

    /** Until nothing more was asked for in a fifth of a second. */
    private function waitUntilLoaded(): void
    {
        $asked = fn (): mixed => $this->browser->executeScript('return performance.getEntriesByType("resource").length');
        $this->waitUntil(static function () use ($asked): bool {
            $before = $asked();
            usleep(200_000);

            return $asked() === $before;
        }, 'something is asked for without end');
    }
}
