<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** One block from nothing to sewn: by the keyboard alone, and by fingers alone on a phone. */
final class WholeBlockTest extends BrowserTestCase
{
    public function test_by_the_keyboard_alone(): void
    {
        $this->visit('/');
        $this->find('.blocks');
        $this->tabTo('New block');
        $this->press(WebDriverKeys::ENTER);
        $this->find('[data-start]');
        $this->keys(WebDriverKeys::TAB, 'Quay Light', WebDriverKeys::TAB);
        foreach (['2', '2', '8', '8'] as $field) {
            $this->chord(WebDriverKeys::CONTROL, 'a');
            $this->keys($field, WebDriverKeys::TAB);
        }
        $this->tabTo('Plain patches');
        $this->keys(WebDriverKeys::ARROW_RIGHT);
        $this->waitUntil(fn (): bool => $this->texts('.starts .chosen') === ['Triangles all one way'], 'the arrow chooses nothing');
        $this->tabTo('Hang it on the wall');
        $this->press(WebDriverKeys::ENTER);
        $this->find('[data-cell="2.2"]');

        // The focus is on the heading: the station's keys act at once.
        $this->keys(WebDriverKeys::ARROW_RIGHT, 't', WebDriverKeys::ARROW_DOWN, 't', 't', WebDriverKeys::ARROW_LEFT, 't', 't', 't');
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return [...document.querySelectorAll("[data-cell]")].map((cell) => cell.dataset.turn).join()') === '0,90,270,180', 'the units are not turned');

        $this->toStation('Cut and make');
        $this->find('.unit-card');
        $this->toTheWork();
        for ($i = 0; $i < 4 && $this->browser->switchTo()->activeElement()->getAttribute('type') !== 'checkbox'; ++$i) {
            $this->press(WebDriverKeys::TAB);
        }
        $this->keys(' ');
        $this->waitUntil(fn (): bool => count($this->texts('.cuts li.done')) === 1, 'the stack is not ticked');

        $this->toStation('Order');
        $this->find('.orders');
        $this->toTheWork();
        $this->keys(WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => $this->texts('.undecided') === [], 'the order is not chosen');

        $this->toStation('Press');
        $this->find('.block-back .seam');
        $this->toTheWork();
        $this->keys(WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.querySelectorAll(".seam[data-locked=true]").length') > 0, 'the seam is not flipped');
        $this->chord(WebDriverKeys::CONTROL, 'z');
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.querySelectorAll(".seam[data-locked=true]").length') === 0, 'the flip is not taken back');

        $this->toStation('Joins');
        $this->find('.join-sheet, .sheet');
        $this->toStation('Machine');
        $this->sewAll(fn () => $this->press(WebDriverKeys::ENTER));
        $this->press(WebDriverKeys::ESCAPE);
        $this->find('.block-back');
        $this->waitUntil(fn (): bool => count(array_filter($this->browser->executeScript('return [...document.querySelectorAll(".station-rail li")].map((one) => one.classList.contains("done"))'))) === 6, 'not every station is done');
    }

    public function test_by_fingers_alone_on_a_phone(): void
    {
        $this->windowOf(390, 844, true);
        $this->visit('/');
        $this->find('.blocks');
        $this->tapText('button', 'New block');
        $this->find('[data-start="triangles"], [data-start]');
        $this->tapText('.starts button', 'Triangles turning in fours');
        $this->tapText('button', 'Hang it on the wall');
        $this->find('[data-cell="1.1"]');

        // A tap chooses; two fingers only make the wall larger.
        $this->tapAt('[data-cell="1.2"]');
        $this->waitUntil(fn (): bool => $this->chosen() === ['1.2'], 'the tap chose nothing');
        $this->pinch('.wall-grid .cells', 40, 100);
        $this->waitUntil(fn (): bool => (float) $this->browser->executeScript('return getComputedStyle(document.querySelector(".wall-grid")).getPropertyValue("--zoom")') > 1.8, 'the wall is no larger');
        self::assertSame(['1.2'], $this->chosen(), 'two fingers choose nothing');
        $before = (int) $this->browser->executeScript('return document.querySelector("[data-scrolls]").scrollLeft');
        $this->swipe('.wall-grid .cells', -90, 0);
        self::assertNotSame($before, (int) $this->browser->executeScript('return document.querySelector("[data-scrolls]").scrollLeft'), 'one finger moves the enlarged wall');
        self::assertSame(['1.2'], $this->chosen());
        $this->tapAt('button[aria-label="Smaller wall"]');
        $this->tapAt('button[aria-label="Smaller wall"]');
        $this->tapAt('[data-cell="1.1"]');
        $this->tapText('.selection button', 'Turn');
        $this->waitUntil(fn (): bool => $this->attribute('[data-cell="1.1"]', 'data-turn') !== '0', 'the unit is not turned');
        $this->tapText('.tools button', 'Undo');

        $this->tapText('.station-rail .word', 'Order');
        $this->find('.order');
        $this->tapAt('.order.chosen');
        $this->waitUntil(fn (): bool => $this->texts('.undecided') === [], 'the order is not chosen');
        $this->tapText('.station-rail .word', 'Machine');
        $this->sewAll(fn () => $this->tapAt('.deed.done'));
        $this->tapText('a', 'To the shelf');
        $this->waitUntil(fn (): bool => str_contains($this->find('.blocks')->getText(), 'all sewn'), 'the shelf does not tell');
    }

    /** @param \Closure(): void $done */
    private function sewAll(\Closure $done): void
    {
        $this->find('.step[data-step="0"]');
        for ($step = 0; $this->texts('.deed.done kbd') !== [] && $step < 300; ++$step) {
            $at = $this->browser->executeScript('return [document.querySelector("[data-step]")?.dataset.step, document.querySelector(".due")?.dataset.left].join()');
            $done();
            $this->waitUntil(fn (): bool => $this->browser->executeScript('return [document.querySelector("[data-step]")?.dataset.step, document.querySelector(".due")?.dataset.left].join()') !== $at, "step $step is not done");
        }
        $this->waitUntil(fn (): bool => $this->texts('h1') === ['All sewn and pressed'], 'not all is sewn');
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'Saved'), 'not saved');
    }

    /** @return list<string> */
    private function chosen(): array
    {
        return $this->browser->executeScript('return [...document.querySelectorAll("[role=gridcell][aria-selected=true]")].map((cell) => cell.dataset.cell)');
    }

    private function toStation(string $station): void
    {
        $this->browser->executeScript('document.querySelector(".skip").focus()');
        for ($i = 0; $i < 15 && ! str_starts_with($this->browser->switchTo()->activeElement()->getText(), $station); ++$i) {
            $this->press(WebDriverKeys::TAB);
        }
        $this->press(WebDriverKeys::ENTER);
    }

    /** By the link that comes first, whatever stands between. */
    private function toTheWork(): void
    {
        $this->browser->executeScript('document.querySelector(".skip").focus()');
        $this->press(WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.activeElement.closest("[data-work]") !== null') === true, 'the work has not got the focus');
    }

    private function keys(string ...$keys): void
    {
        foreach ($keys as $key) {
            $this->press($key);
        }
    }

    private function chord(string $modifier, string $key): void
    {
        $this->browser->action()->keyDown(null, $modifier)->sendKeys(null, $key)->keyUp(null, $modifier)->perform();
    }

    private function tabTo(string $name): void
    {
        for ($i = 0; $i < 40 && $this->browser->switchTo()->activeElement()->getText() !== $name; ++$i) {
            $this->press(WebDriverKeys::TAB);
        }
        self::assertSame($name, $this->browser->switchTo()->activeElement()->getText());
    }

    private function tapAt(string $selector): void
    {
        $this->find($selector);
        $this->browser->executeScript('document.querySelector(arguments[0]).scrollIntoView({ block: "center", inline: "center" })', [$selector]);
        $this->finger([$this->centre($selector)]);
    }

    private function tapText(string $selector, string $text): void
    {
        $this->waitUntil(fn (): bool => $this->browser->executeScript('document.querySelectorAll("[data-tap]").forEach((one) => one.removeAttribute("data-tap")); const found = [...document.querySelectorAll(arguments[0])].find((one) => one.textContent.trim().startsWith(arguments[1])); found?.setAttribute("data-tap", ""); return !!found', [$selector, $text]) === true, "\"$text\" is not there");
        $this->tapAt('[data-tap]');
    }

    private function swipe(string $selector, float $dx, float $dy): void
    {
        [$x, $y] = $this->centre($selector);
        $this->finger(array_map(static fn (int $i): array => [$x + $dx * $i / 8, $y + $dy * $i / 8], range(0, 8)));
    }

    private function pinch(string $selector, float $from, float $to): void
    {
        [$x, $y] = $this->centre($selector);
        $this->touch('touchStart', [[$x - $from, $y], [$x + $from, $y]]);
        for ($i = 1; $i <= 8; ++$i) {
            $apart = $from + ($to - $from) * $i / 8;
            $this->touch('touchMove', [[$x - $apart, $y], [$x + $apart, $y]]);
        }
        $this->touch('touchEnd', []);
    }

    /** @param non-empty-list<array{float, float}> $path */
    private function finger(array $path): void
    {
        foreach ($path as $i => $point) {
            $this->touch($i === 0 ? 'touchStart' : 'touchMove', [$point]);
        }
        $this->touch('touchEnd', []);
    }
}
