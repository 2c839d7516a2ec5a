<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

final class WallTest extends BrowserTestCase
{
    public function test_a_block_is_built_from_nothing_by_keyboard_alone(): void
    {
        $this->visit('/');
        $this->find('.blocks');
        $this->tabTo('New block');
        $this->press(WebDriverKeys::ENTER);
        $this->find('[data-start="blank"]');
        $this->press(WebDriverKeys::TAB);
        $this->press('Harbour Lights');
        $this->press(WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => $this->kinds() === array_fill(0, 16, 'plain'), 'no blank wall of 16 places');

        // Triangles in the first and last column, geese between them, all the second row turned.
        foreach (['2', WebDriverKeys::ARROW_RIGHT, '5', WebDriverKeys::ARROW_RIGHT, '5', WebDriverKeys::ARROW_RIGHT, '2', 't'] as $key) {
            $this->press($key);
        }
        $this->saved(fn (): bool => $this->kinds(1) === ['half-square-triangle', 'flying-geese', 'flying-geese', 'half-square-triangle'] && $this->turns(1) === ['0', '0', '0', '90'], 'the first row is not laid');

        // Copy the row, paste it over the last, mirror it there top to bottom by half a turn.
        $this->keys(WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT);
        $this->held(WebDriverKeys::SHIFT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT);
        $this->held(WebDriverKeys::CONTROL, 'c');
        $this->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT);
        $this->held(WebDriverKeys::CONTROL, 'v');
        $this->saved(fn (): bool => $this->kinds(4) === $this->kinds(1), 'the row is not pasted');
        $this->held(WebDriverKeys::SHIFT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT);
        $this->keys('t', 't');
        $this->saved(fn (): bool => $this->turns(4) === ['180', '180', '180', '270'], 'the last row is not turned');

        // One square on its point over the four places in the middle.
        $this->keys(WebDriverKeys::ARROW_UP, WebDriverKeys::ARROW_LEFT);
        $this->held(WebDriverKeys::SHIFT, WebDriverKeys::ARROW_UP, WebDriverKeys::ARROW_LEFT);
        $this->find('.unit-tray [data-kind="square-in-square"]');
        $this->press('7');
        $this->saved(fn (): bool => $this->kinds(2) === ['plain', 'square-in-square', 'square-in-square', 'plain'], 'no squares in the middle');

        $this->browser->navigate()->refresh();
        $this->waitUntil(fn (): bool => $this->kinds(2) === ['plain', 'square-in-square', 'square-in-square', 'plain'], 'the layout is not kept');
        $this->seesText('Harbour Lights');
    }

    public function test_changes_wait_while_the_server_is_away_and_are_sent_when_it_is_back(): void
    {
        $this->visit('/blocks/3/wall');
        $this->find('[data-cell="1.2"]');
        $turned = fn (): array => $this->turns(1);
        $before = $turned();
        $this->stopServer();
        $this->keys('t', WebDriverKeys::ARROW_RIGHT, 't', 't');
        $this->seesText('waits here and is sent again by itself');
        self::assertSame($before, $turned());

        $this->startServer();
        $this->saved(static fn (): bool => array_slice($turned(), 2) === array_slice($before, 2) && $turned()[0] !== $before[0] && $turned()[1] !== $before[1], 'the changes did not arrive: '.implode(' ', $turned()));
        $this->browser->navigate()->refresh();
        $this->waitUntil(static fn (): bool => $turned() !== [] && $turned()[0] !== $before[0] && $turned()[1] !== $before[1], 'the changes are not kept');
    }

    public function test_a_turned_unit_is_flagged_and_mended_by_one_key(): void
    {
        $this->visit('/blocks/3/wall');
        $this->find('[data-cell="1.2"]');
        self::assertSame([], $this->odd());
        $this->keys(WebDriverKeys::ARROW_RIGHT, 't', 't');
        $this->waitUntil(fn (): bool => $this->odd() === ['1.2'], 'the turned unit is not flagged');
        $this->seesText('Odd one out');

        $this->press('o');
        $this->waitUntil(fn (): bool => $this->odd() === [], 'the unit is not mended');

        $this->keys('t', 't');
        $this->waitUntil(fn (): bool => $this->odd() === ['1.2'], 'the turned unit is not flagged again');
        $this->named("It's meant to be so")->click();
        $this->waitUntil(fn (): bool => $this->odd() === [], 'the unit is still flagged');
        $this->browser->navigate()->refresh();
        $this->find('[data-cell="1.2"]');
        self::assertSame([], $this->odd());
    }

    public function test_copies_follow_and_undo_outlives_the_page(): void
    {
        $this->visit('/blocks/3/wall');
        $this->find('[data-cell="1.1"]');
        $before = $this->kinds();
        $this->press('y');
        $this->waitUntil(fn (): bool => str_contains($this->find('.follow')->getText(), 'Quarter turns'), 'the copies do not follow');
        $this->press('3');
        $corners = fn (): array => array_map(fn (string $cell): string => $this->attribute("[data-cell=\"$cell\"]", 'data-kind'), ['1.1', '1.4', '4.1', '4.4']);
        $this->saved(fn (): bool => $corners() === array_fill(0, 4, 'quarter-square-triangle'), 'the other corners do not follow');
        self::assertSame(['0', '90', '270', '180'], array_map(fn (string $cell): string => $this->attribute("[data-cell=\"$cell\"]", 'data-turn'), ['1.1', '1.4', '4.1', '4.4']));

        $this->browser->navigate()->refresh();
        $this->find('[data-cell="1.1"]');
        $this->held(WebDriverKeys::CONTROL, 'z');
        $this->waitUntil(fn (): bool => $this->kinds() === $before, 'the change is not undone after loading the page again');
        $this->held(WebDriverKeys::CONTROL, 'y');
        $this->waitUntil(fn (): bool => $corners() === array_fill(0, 4, 'quarter-square-triangle'), 'it is not done again');
    }

    public function test_a_second_window_never_overwrites_unseen(): void
    {
        $this->visit('/blocks/3/wall');
        $this->find('[data-cell="1.1"]');
        $first = $this->browser->getWindowHandle();
        $before = $this->turns(1);
        $this->browser->newWindow();
        $second = array_values(array_diff($this->browser->getWindowHandles(), [$first]))[0];
        $this->browser->switchTo()->window($second);
        $this->visit('/blocks/3/wall');
        $this->find('[data-cell="1.1"]');
        // Coming back to a window shows the newest by itself; here it shall not, as when the server answers late.
        $this->browser->executeScript('window.real = window.fetch; window.fetch = (address, sent) => sent?.method === "GET" ? new Promise(() => {}) : window.real(address, sent)');
        $this->browser->switchTo()->window($first);
        $this->keys(WebDriverKeys::ARROW_RIGHT, 't');
        $this->saved(fn (): bool => $this->turns(1)[1] !== $before[1], 'the first window does not save');
        $turned = $this->turns(1);

        $this->browser->switchTo()->window($second);
        $this->press('t');
        $this->seesText('was changed in another window');
        self::assertSame($before, $this->turns(1), 'what was not saved is not shown as if it were');
        $this->browser->executeScript('window.fetch = window.real');
        $this->named('Make my change on top of it')->click();
        $this->saved(fn (): bool => $this->turns(1)[1] === $turned[1] && $this->turns(1)[0] !== $before[0], 'both changes are not there');
        $both = $this->turns(1);

        $this->browser->switchTo()->window($first);
        $this->browser->executeScript('window.dispatchEvent(new Event("focus"))');
        $this->waitUntil(fn (): bool => $this->turns(1) === $both, 'the first window does not show the newest');
    }

    public function test_patches_are_painted_and_small_grids_opened_by_key(): void
    {
        $this->visit('/blocks/3/wall');
        $this->find('[data-cell="1.1"]');
        $this->find('.unit-tray [data-kind="grid"]');
        $this->press('9');
        $this->saved(fn (): bool => $this->attribute('[data-cell="1.1"]', 'data-kind') === 'grid', 'no small grid there');
        $this->press('e');
        $this->waitUntil(fn (): bool => count($this->kinds()) === 4, 'the small grid is not open');
        $this->press('2');
        $this->saved(fn (): bool => $this->attribute('[data-cell="1.1"]', 'data-kind') === 'half-square-triangle', 'nothing is placed in the small grid');
        $this->press(WebDriverKeys::ESCAPE);
        $this->waitUntil(fn (): bool => count($this->kinds()) === 16, 'the whole block is not back');

        $painted = $this->attribute('.wall-grid [data-fabric]', 'd');
        $this->keys('f', 'f', 'p', ' ');
        $this->saved(fn (): bool => $this->attribute('.wall-grid [data-fabric]', 'd') !== $painted, 'the first patch is not painted');
    }

    /** @return list<string> */
    private function kinds(?int $row = null): array
    {
        return $this->cells('kind', $row);
    }

    /** @return list<string> */
    private function turns(int $row): array
    {
        return $this->cells('turn', $row);
    }

    /** @return list<string> */
    private function odd(): array
    {
        return array_values(array_map(static fn ($cell): string => (string) $cell->getAttribute('data-cell'), $this->browser->findElements(WebDriverBy::cssSelector('[data-odd]'))));
    }

    /** @return list<string> */
    private function cells(string $fact, ?int $row): array
    {
        $selector = $row === null ? '[data-cell]' : "[data-cell^=\"$row.\"]";
        $facts = $this->browser->executeScript("return [...document.querySelectorAll('$selector')].map((cell) => cell.dataset.$fact)");

        return is_array($facts) ? array_values(array_map(strval(...), $facts)) : [];
    }

    /** @param \Closure(): bool $isSo */
    private function saved(\Closure $isSo, string $else): void
    {
        $this->waitUntil(fn (): bool => $isSo() && $this->texts('.saved') === ['Saved'], $else);
    }

    private function keys(string ...$keys): void
    {
        foreach ($keys as $key) {
            $this->press($key);
        }
    }

    private function held(string $modifier, string ...$keys): void
    {
        // A modifier stays down to the end of what is sent at once.
        $this->press($modifier.implode('', $keys));
    }

    private function tabTo(string $name): void
    {
        for ($i = 0; $i < 30 && $this->browser->switchTo()->activeElement()->getText() !== $name; ++$i) {
            $this->press(WebDriverKeys::TAB);
        }
        self::assertSame($name, $this->browser->switchTo()->activeElement()->getText());
    }
}
