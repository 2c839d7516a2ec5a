<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Units drawn from nothing by cutting, by mouse, by keys and by touch; each says how many actions it took. */
final class DrawingTest extends BrowserTestCase
{
    private int $actions = 0;

    public function test_a_corner_unit_is_cut_by_mouse_and_kept_in_the_tray(): void
    {
        $this->openBlank();
        $this->click('[data-cell="1.1"]');
        $this->clickNamed('Draw it by cutting');
        foreach ([['0 1', '1 0'], ['1/2 0', '1/2 1/2'], ['0 1/2', '1/2 1/2']] as $i => [$from, $to]) {
            $this->click("[data-mark=\"$from\"]");
            $this->click("[data-mark=\"$to\"]");
            $this->boardHas($i + 2);
        }
        $this->took(8);
        $this->seesText('Sewn in the order of the numbers, 3 seams.');
        $this->picture('drawing');
        // What no straight seam ends in is refused with the reason, and nothing changes.
        $this->typeCut(['1', '1', '5/8', '3/4']);
        $this->seesText('The cut ends inside patch');
        self::assertSame(4, $this->patches());
        // A digit gives the chosen patch a fabric.
        $this->browser->executeScript('document.activeElement.blur()');
        $this->press('n');
        $this->press('2');
        $this->until(fn (): bool => count(array_unique($this->fills())) === 2, 'no patch in a second fabric');
        $this->find('.drawing-panel .name input')->sendKeys('Bollard');
        $this->clickNamed('Keep in my tray');
        $this->clickNamed('Back to the wall Esc');
        $this->find('[data-kind^="own-"]');
    }

    public function test_slanted_arms_from_corner_to_corner_are_drawn_by_keys_on_the_whole_block_as_one_cell(): void
    {
        $this->openBlank();
        $this->clickNamed('Draw the whole block as one unit');
        $this->boardHas(16);
        $this->actions = 0;
        $this->find('.drawing-panel');
        $this->clickNamed('one patch');
        $this->boardHas(1);
        $this->browser->executeScript('document.activeElement.blur()');
        // From mark to mark by arrows: both long diagonals, a quarter off the corners, through everything.
        $this->keys('x');
        foreach ([['1/4 0', '1 3/4'], ['0 1/4', '3/4 1'], ['3/4 0', '0 3/4'], ['1 1/4', '1/4 1']] as [$from, $to]) {
            $before = $this->patches();
            $this->goToMark($from);
            $this->keys(WebDriverKeys::ENTER);
            $this->goToMark($to);
            $this->keys(WebDriverKeys::ENTER);
            $this->until(fn (): bool => $this->patches() > $before, "no cut from $from to $to");
        }
        $this->took(60);
        self::assertSame(9, $this->patches());
        $this->picture('arms');
        // Undo by key takes one cut back.
        $this->browser->action()->keyDown(null, WebDriverKeys::CONTROL)->sendKeys(null, 'z')->keyUp(null, WebDriverKeys::CONTROL)->perform();
        $this->until(fn (): bool => $this->patches() < 9, 'nothing was taken back');
    }

    public function test_a_star_is_drawn_by_touch_with_copies(): void
    {
        $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Emulation.setTouchEmulationEnabled', 'params' => ['enabled' => true]]);
        $this->openBlank();
        $follow = $this->find('.follow select');
        $follow->findElement(WebDriverBy::cssSelector('option[value="full"]'))->click();
        ++$this->actions;
        $this->tap('[data-cell="1.2"]');
        $this->clickNamed('Draw it by cutting');
        $this->dragTouch('[data-mark="0 1"]', '[data-mark="1 0"]');
        $this->boardHas(2);
        $patch = $this->browser->executeScript('return [...document.querySelectorAll(".board [data-patch]")].at(-1).dataset.patch');
        $this->tap(".board [data-patch=\"$patch\"]", 60);
        $this->tap('.fabric-shelf [data-fabric]:nth-child(2)');
        $this->until(fn (): bool => count(array_unique($this->fills())) === 2, 'the point has no fabric of its own');
        $this->clickNamed('Back to the wall Esc');
        $this->until(fn (): bool => count($this->browser->findElements(WebDriverBy::cssSelector('[data-cell][data-kind="patches"]'))) === 8, 'no eight points');
        $this->took(7);
        $this->picture('star');
    }

    private function openBlank(): void
    {
        $made = json_decode((string) file_get_contents($this->address.'/api/starts', false, stream_context_create(['http' => ['method' => 'POST', 'header' => 'Content-Type: application/json', 'content' => json_encode(['name' => 'Mooring', 'start' => 'blank', 'columns' => '4', 'rows' => '4', 'width' => '12', 'height' => '12', 'units' => 'in'])]])), true, 512, JSON_THROW_ON_ERROR);
        $this->visit('/blocks/'.(int) $made['id'].'/wall');
        $this->find('[data-cell="1.1"]');
    }

    private function click(string $selector): void
    {
        $this->clickOn($selector);
        ++$this->actions;
    }

    private function clickNamed(string $name): void
    {
        $this->named($name)->click();
        ++$this->actions;
    }

    private function keys(string ...$keys): void
    {
        foreach ($keys as $key) {
            $this->press($key);
            ++$this->actions;
        }
    }

    /** By the arrows only, the way a hand would: until the mark is the one the keys are on. */
    private function goToMark(string $mark): void
    {
        $here = fn (): string => (string) ($this->browser->executeScript('return document.querySelector(".mark.here")?.dataset.mark ?? ""'));
        $value = static fn (string $share): float => (static fn (array $parts): float => (float) $parts[0] / (float) ($parts[1] ?? 1))(explode('/', $share));
        $tried = [];
        for ($i = 0; $i < 40 && $here() !== $mark; ++$i) {
            $now = $here();
            if ($now === '') {
                $this->keys(WebDriverKeys::ARROW_RIGHT);
                continue;
            }
            [[$x, $y], [$toX, $toY]] = [array_map($value, explode(' ', $now)), array_map($value, explode(' ', $mark))];
            $across = $toX > $x ? WebDriverKeys::ARROW_RIGHT : WebDriverKeys::ARROW_LEFT;
            $down = $toY > $y ? WebDriverKeys::ARROW_DOWN : WebDriverKeys::ARROW_UP;
            $isAcross = abs($toX - $x) > abs($toY - $y);
            // Where one way led in a circle, the other.
            $key = isset($tried[$now]) ? ($isAcross ? $down : $across) : ($isAcross ? $across : $down);
            $tried[$now] = true;
            $this->keys($key);
        }
        self::assertSame($mark, $here());
    }

    /** @param array{string, string, string, string} $shares */
    private function typeCut(array $shares): void
    {
        foreach ($this->browser->findElements(WebDriverBy::cssSelector('.typed input')) as $i => $input) {
            $input->clear()->sendKeys($shares[$i]);
        }
        $this->find('.typed button')->click();
    }

    private function tap(string $selector, int $offset = 0): void
    {
        $at = $this->centre($selector, $offset);
        $this->touch('touchStart', [$at]);
        $this->touch('touchEnd', []);
        ++$this->actions;
    }

    private function dragTouch(string $from, string $to): void
    {
        [[$x, $y], [$toX, $toY]] = [$this->centre($from), $this->centre($to)];
        $this->touch('touchStart', [[$x, $y]]);
        for ($i = 1; $i <= 8; ++$i) {
            $this->touch('touchMove', [[$x + ($toX - $x) * $i / 8, $y + ($toY - $y) * $i / 8]]);
        }
        $this->touch('touchEnd', []);
        ++$this->actions;
    }

    /** @param list<array{float, float}> $points */
    private function touch(string $type, array $points): void
    {
        $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Input.dispatchTouchEvent', 'params' => ['type' => $type, 'touchPoints' => array_map(static fn (array $point): array => ['x' => $point[0], 'y' => $point[1]], $points)]]);
    }

    /** @return array{float, float} */
    private function centre(string $selector, int $offset = 0): array
    {
        $this->find($selector);
        $box = $this->browser->executeScript('const box = document.querySelector(arguments[0]).getBoundingClientRect(); return [box.left + box.width / 2, box.top + box.height / 2]', [$selector]);

        return [(float) $box[0] + $offset, (float) $box[1] + $offset];
    }

    private function patches(): int
    {
        return count($this->browser->findElements(WebDriverBy::cssSelector('.board [data-patch]')));
    }

    /** @return list<string> */
    private function fills(): array
    {
        return array_map(static fn ($patch): string => (string) $patch->getAttribute('fill'), array_values($this->browser->findElements(WebDriverBy::cssSelector('.board [data-patch]'))));
    }

    private function boardHas(int $patches): void
    {
        $this->waitUntil(fn (): bool => $this->patches() === $patches, "the board never has $patches patches");
    }

    private function took(int $most): void
    {
        fwrite(STDERR, sprintf("\n%s: %d actions\n", $this->name(), $this->actions));
        self::assertLessThanOrEqual($most, $this->actions);
    }

    private function picture(string $name): void
    {
        $folder = getenv('KEEN_SEAM_PICTURES');
        if (is_string($folder) && $folder !== '') {
            $this->browser->takeScreenshot("$folder/$name.png");
        }
    }
}
