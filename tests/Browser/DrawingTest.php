<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** Units drawn from nothing by cutting, by mouse, by keys and by touch; each says how many actions it took. */
final class DrawingTest extends BrowserTestCase
{
    private int $actions = 0;

    private string $manner = 'mouse';

    /** @return iterable<string, array{string}> */
    public static function manners(): iterable
    {
        foreach (['mouse', 'keys', 'touch'] as $manner) {
            yield 'by '.$manner => [$manner];
        }
    }

    #[DataProvider('manners')]
    public function test_a_corner_unit_of_a_small_square_two_triangles_and_a_large_one(string $manner): void
    {
        $this->openBlank($manner);
        $this->draw();
        foreach ([['0 1', '1 0'], ['1/2 0', '1/2 1/2'], ['0 1/2', '1/2 1/2']] as $i => [$from, $to]) {
            $this->cut($from, $to);
            $this->boardHas($i + 2);
        }
        $this->took(['mouse' => 8, 'keys' => 30, 'touch' => 5][$manner] ?? 0);
        $this->seesText('Sewn in the order of the numbers, 3 seams.');
        $this->picture('corner-'.$manner);
    }

    #[DataProvider('manners')]
    public function test_slanted_arms_from_corner_to_corner_as_one_cell(string $manner): void
    {
        $this->openBlank($manner);
        $this->clickNamed('Draw the whole block as one unit');
        $this->boardHas(16);
        $this->clickNamed('one patch');
        $this->boardHas(1);
        $this->through();
        foreach ([['1/4 0', '1 3/4'], ['0 1/4', '3/4 1'], ['3/4 0', '0 3/4'], ['1 1/4', '1/4 1']] as [$from, $to]) {
            $before = $this->patches();
            $this->cut($from, $to);
            $this->until(fn (): bool => $this->patches() > $before, "no cut from $from to $to");
        }
        self::assertSame(9, $this->patches());
        $this->took(['mouse' => 11, 'keys' => 60, 'touch' => 7][$manner] ?? 0);
        $this->picture('arms-'.$manner);
        // Undo takes one cut back.
        $this->browser->action()->keyDown(null, WebDriverKeys::CONTROL)->sendKeys(null, 'z')->keyUp(null, WebDriverKeys::CONTROL)->perform();
        $this->until(fn (): bool => $this->patches() < 9, 'nothing was taken back');
    }

    #[DataProvider('manners')]
    public function test_a_star(string $manner): void
    {
        $this->openBlank($manner);
        if ($manner === 'keys') {
            $this->keys(...array_fill(0, 7, 'y'));
        } else {
            $this->choose('Copies follow', 'From every side');
            ++$this->actions;
        }
        $this->chooseCell('[data-cell="1.2"]');
        $this->draw();
        $this->cut('0 1', '1 0');
        $this->boardHas(2);
        $this->paintLast();
        $this->leave();
        $this->until(fn (): bool => count($this->browser->findElements(WebDriverBy::cssSelector('[data-cell][data-kind="patches"]'))) === 8, 'no eight points');
        $this->took(['mouse' => 8, 'keys' => 32, 'touch' => 7][$manner] ?? 0);
        $this->picture('star-'.$manner);
    }

    public function test_a_star_with_a_plain_centre_is_begun_in_six_actions_at_most(): void
    {
        $this->visit('/');
        $this->clickNamed('New block');
        $this->click('[data-start="star"]');
        $this->clickNamed('Hang it on the wall');
        $this->find('[data-cell="1.2"][data-kind="half-square-triangle"]');
        $this->took(6);
    }

    public function test_what_cannot_be_cut_is_refused_patches_take_a_digit_and_the_unit_goes_into_the_tray(): void
    {
        $this->openBlank('mouse');
        $this->draw();
        $this->cut('0 1', '1 0');
        $this->boardHas(2);
        $this->typeCut(['1', '1', '5/8', '3/4']);
        $this->seesText('The cut ends inside a patch');
        self::assertSame(2, $this->patches());
        $this->browser->executeScript('document.activeElement.blur()');
        $this->press('n');
        $this->press('2');
        $this->until(fn (): bool => count(array_unique($this->fills())) === 2, 'no patch in a second fabric');
        $this->press('n');
        $this->browser->action()->keyDown(null, WebDriverKeys::SHIFT)->sendKeys(null, 'n')->keyUp(null, WebDriverKeys::SHIFT)->perform();
        $this->press('j');
        $this->boardHas(1);
        $this->find('.drawing-panel .name input')->sendKeys('Bollard');
        $this->clickNamed('Keep in my tray');
        $this->clickNamed('Back to the wall Esc');
        $this->find('[data-kind^="own-"]');
        $this->find('.own-units summary')->click();
        $this->named('Take Bollard out of the tray')->click();
        $this->waitUntil(fn (): bool => $this->browser->findElements(WebDriverBy::cssSelector('[data-kind^="own-"]')) === [], 'it is still in the tray');
        $this->named('Put it back')->click();
        $this->find('[data-kind^="own-"]');
    }

    private function draw(): void
    {
        if ($this->manner === 'keys') {
            $this->keys('d');
        } else {
            $this->clickNamed('Draw it by cutting');
        }
        $this->find('.board');
    }

    private function cut(string $from, string $to): void
    {
        if ($this->manner === 'touch') {
            $this->dragTouch("[data-mark=\"$from\"]", "[data-mark=\"$to\"]");
        } elseif ($this->manner === 'mouse') {
            $this->click("[data-mark=\"$from\"]");
            $this->click("[data-mark=\"$to\"]");
        } else {
            foreach ([$from, $to] as $mark) {
                $this->goToMark($mark);
                $this->keys(WebDriverKeys::ENTER);
            }
        }
    }

    private function through(): void
    {
        if ($this->manner === 'keys') {
            $this->browser->executeScript('document.activeElement.blur()');
            $this->keys('x');
        } else {
            $this->clickNamed('Cut through everything X');
        }
    }

    /** The patch that came last gets the second fabric. */
    private function paintLast(): void
    {
        if ($this->manner === 'keys') {
            $this->keys('n', 'n', '2');
        } else {
            $patch = $this->browser->executeScript('return [...document.querySelectorAll(".board [data-patch]")].at(-1).dataset.patch');
            $chip = '.fabric-shelf [data-fabric]:nth-child(2)';
            if ($this->manner === 'touch') {
                $this->tap(".board [data-patch=\"$patch\"]", 60);
                $this->tap($chip);
            } else {
                [$x, $y] = $this->centre(".board [data-patch=\"$patch\"]", 60);
                $this->browser->action()->moveToElement($this->find('body'), (int) ($x - $this->find('body')->getSize()->getWidth() / 2), (int) ($y - $this->find('body')->getSize()->getHeight() / 2))->click()->perform();
                ++$this->actions;
                $this->click($chip);
            }
        }
        $this->until(fn (): bool => count(array_unique($this->fills())) === 2, 'no patch has a fabric of its own');
    }

    private function chooseCell(string $cell): void
    {
        match ($this->manner) {
            'touch' => $this->tap($cell),
            'mouse' => $this->click($cell),
            default => $this->keys(WebDriverKeys::ARROW_RIGHT),
        };
    }

    private function leave(): void
    {
        if ($this->manner === 'keys') {
            $this->keys(WebDriverKeys::ESCAPE, WebDriverKeys::ESCAPE);
        } else {
            $this->clickNamed('Back to the wall Esc');
        }
        $this->find('.wall-grid');
    }

    private function openBlank(string $manner): void
    {
        $this->manner = $manner;
        if ($manner === 'touch') {
            $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Emulation.setTouchEmulationEnabled', 'params' => ['enabled' => true]]);
        }
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
        foreach (['From, across', 'From, down', 'To, across', 'To, down'] as $i => $field) {
            $this->fill("input[aria-label=\"$field\"]", $shares[$i]);
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
        fwrite(STDERR, sprintf("\n%s: %d actions\n", $this->nameWithDataSet(), $this->actions));
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
