<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

final class PressStationTest extends BrowserTestCase
{
    public function test_a_flipped_seam_stacks_its_crossing_stays_so_and_can_be_let_go(): void
    {
        $this->visit('/blocks/2/press');
        $before = $this->station();
        self::assertSame('nested', $before['crossing']);
        self::assertSame('9', $before['totals']['nested']);

        $this->clickOn('.arrows .reach'); // any seam's arrow can be clicked; the next lines use a known one
        $this->waitUntil(fn (): bool => $this->attribute('.seam.chosen', 'data-locked') === 'true', 'the clicked seam is not locked');
        $this->named('Release the lock')->click();
        $this->waitUntil(fn (): bool => $this->station() === $before, 'not as before the first flip');

        $this->flipFromThePanel(16);
        $this->waitUntil(fn (): bool => $this->station()['crossing'] === 'stacked', 'the crossing does not stack');
        $flipped = $this->station();
        self::assertSame(['8', '1'], [$flipped['totals']['nested'], $flipped['totals']['stacked']]);
        self::assertNotSame($before['press'], $flipped['press']);
        $this->seesText('1 fewer than planned');

        $this->browser->navigate()->refresh();
        $this->waitUntil(fn (): bool => $this->station() === $flipped, 'not the same after loading the page again');

        $this->clickOn('.seam[data-join="16"] .reach');
        $this->named('Release the lock')->click();
        $this->waitUntil(fn (): bool => $this->station() === $before, 'not as before after the lock was let go');
    }

    public function test_everything_works_from_the_keyboard(): void
    {
        $this->visit('/blocks/2/press');
        $before = $this->station();
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $this->press(WebDriverKeys::ARROW_LEFT);
        $this->waitUntil(fn (): bool => $this->attribute('.seam.chosen', 'data-join') === '16', 'the arrow keys do not lead back');
        $this->press(' ');
        $this->waitUntil(fn (): bool => $this->station()['crossing'] === 'stacked', 'Space does not flip');
        $this->press('l');
        $this->waitUntil(fn (): bool => $this->station() === $before, 'L does not let go');
    }

    public function test_the_other_seams_follow_when_asked(): void
    {
        $this->visit('/blocks/2/press');
        $this->flipFromThePanel(16);
        $this->waitUntil(fn (): bool => $this->station()['crossing'] === 'stacked', 'the crossing does not stack');
        $this->find('.rest .el-radio-button:last-child')->click();
        $this->waitUntil(fn (): bool => $this->station()['totals']['stacked'] === '0', 'the rest does not follow');
        self::assertSame('true', $this->attribute('.seam[data-join="16"]', 'data-locked'));
    }

    public function test_two_windows_never_overwrite_each_other_unseen(): void
    {
        $this->visit('/blocks/2/press');
        $this->find('.seam[data-join="16"]');
        $first = $this->browser->getWindowHandle();
        $this->browser->switchTo()->newWindow();
        $this->visit('/blocks/2/press');
        $this->flipFromThePanel(20);
        $this->waitUntil(fn (): bool => $this->attribute('.seam[data-join="20"]', 'data-locked') === 'true', 'not locked');

        $this->browser->switchTo()->window($first);
        $this->flipFromThePanel(16);
        $this->seesText('"Slack Water" was changed in another window.');
        $this->named('Load it again')->click();
        $this->waitUntil(fn (): bool => $this->attribute('.seam[data-join="20"]', 'data-locked') === 'true', 'the other window\'s lock is not shown');
        self::assertSame('false', $this->attribute('.seam[data-join="16"]', 'data-locked'));
    }

    public function test_the_steps_are_followed_and_kept(): void
    {
        $this->visit('/blocks/2/press');
        $this->clickOn('.step[data-step="6"]');
        $this->seesText('Sew row 1: 4 units, one after the other.');
        self::assertNotSame([], $this->browser->findElements(WebDriverBy::cssSelector('.block-back .seam.strong')));
        self::assertNotSame([], $this->browser->findElements(WebDriverBy::cssSelector('.face .seam-highlight')));

        $this->visit('/blocks/2/machine');
        $this->find('.step[data-step="0"]');
        $this->press(' ');
        $this->find('.step[data-step="1"]');
        $this->press(WebDriverKeys::ENTER);
        $this->find('.step[data-step="2"]');
        $this->press('b');
        $this->find('.step[data-step="1"]');
        $this->browser->navigate()->refresh();
        $this->find('.step[data-step="1"]');
        $this->seesText('step 2 of');
    }

    public function test_pressing_is_said_in_words_by_pointing_and_keys_and_taken_back(): void
    {
        $this->visit('/blocks/2/press');
        $before = $this->station();
        $this->named('In words')->click();
        $this->find('.rules [data-subject="rows"]')->click();
        $this->press(WebDriverKeys::ARROW_LEFT);
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $this->seesText('All rows: left, right');
        $this->find('.rules .price');
        $this->press(WebDriverKeys::ENTER);
        $this->seesText('Rows: left, right');
        $this->waitUntil(fn (): bool => $this->texts('.rules .row') === ['Row 1 left', 'Row 2 right', 'Row 3 left', 'Row 4 right'], 'the rows do not lie as they were told');

        // A kind of unit, then a rule that fits nothing of what was told before is still only one more sentence.
        $this->find('.rules [data-subject="units half-square-triangle"]')->click();
        $this->press('d');
        $this->find('.rules .price');
        $this->press(WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => count($this->texts('.rules .list li')) === 2, 'the second rule is not kept');
        $this->find('.rules .list li:first-child .el-checkbox')->click();
        $this->waitUntil(fn (): bool => $this->attribute('.rules .list li:first-child', 'class') === 'off', 'not switched off');

        $this->browser->executeScript('document.activeElement.blur()');
        foreach ([2, 1, 0] as $left) {
            $this->named('Undo')->click();
            $this->waitUntil(fn (): bool => count($this->texts('.rules .list li:not(.off)')) === $left, "not $left rules that are on");
        }
        $this->waitUntil(fn (): bool => $this->station() === $before, 'not as before the first rule');
    }

    public function test_a_stretch_is_furled_or_the_picture_says_what_it_would_need(): void
    {
        $this->visit('/blocks/2/press');
        $this->find('.seam[data-join="30"]');
        $this->browser->executeScript("document.querySelector('.seam[data-join=\"30\"] > .reach').dispatchEvent(new MouseEvent('click', { bubbles: true }))");
        $this->waitUntil(fn (): bool => ! in_array('…', $this->texts('.way .cost'), true) && $this->attribute('.seam.chosen', 'data-join') === '30', 'no prices of the ways');
        $this->find('.stretch[data-stretch="1"]');
        $this->browser->executeScript("document.querySelector('[data-stretch=\"30.1\"]').dispatchEvent(new MouseEvent('click', { bubbles: true }))");
        $this->waitUntil(fn (): bool => count(array_unique(explode(' ', $this->attribute('.seam[data-join="30"]', 'data-press')))) === 2 || $this->texts('.problem') !== [], 'neither furled nor refused');
        if ($this->texts('.problem') !== []) {
            $this->find('.turn .arrow');
        }
        $this->seesText('like a wheel');
        // Held as it lies, its neighbours cannot be turned under it: the crossing is drawn.
        foreach ([['Seam', 22], ['Seam', 25]] as [, $join]) {
            $this->browser->executeScript("document.querySelector('.seam[data-join=\"$join\"] > .reach').dispatchEvent(new MouseEvent('click', { bubbles: true }))");
            $this->waitUntil(fn (): bool => $this->attribute('.seam.chosen', 'data-join') === (string) $join, 'the seam is not chosen');
            $this->find('.way[data-way="open"]')->click();
            $this->waitUntil(fn (): bool => str_starts_with($this->attribute("[data-join=\"$join\"]", 'data-press'), 'open') || $this->texts('.problem') !== [], 'neither opened nor refused');
        }
    }

    public function test_advice_is_taken_with_one_key_and_keys_work_at_once(): void
    {
        $this->visit('/blocks/2/press');
        $this->find('.totals');
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $this->waitUntil(fn (): bool => $this->attribute('.seam.chosen', 'data-join') === '17', 'the arrow keys need the focus first');
        $this->press('o');
        $this->waitUntil(fn (): bool => $this->attribute('.seam[data-join="17"]', 'data-press') === 'open', 'O does not open it');
        $this->seesText('as you chose');
        $this->press('l');
        $this->waitUntil(fn (): bool => $this->attribute('.seam[data-join="17"]', 'data-press') !== 'open', 'L does not let go');

        $this->named('Advice')->click();
        $this->find('.advice .take kbd');
        preg_match('~(\d+) layers become (\d+)~', $this->find('.advice .lump .take')->getText(), $layers);
        $at = $this->attribute('.advice .lump', 'data-lump');
        $this->press('1');
        $this->waitUntil(fn (): bool => $this->attribute('.advice .lump', 'data-lump') !== $at || $this->texts('.advice .lump') === [], 'the advice is not taken');
        self::assertLessThan((int) $layers[1], (int) $layers[2]);
        $this->named('Compare')->click();
        $this->find('.beside table');
        $this->find('.beside .el-radio:not(.is-checked)')->click();
        $this->waitUntil(fn (): bool => $this->attribute('.seam[data-join="17"]', 'data-locked') === 'false' && $this->texts('.beside tr.differs') !== [], 'the planner\'s way is not sewn');
    }

    public function test_schools_are_compared_and_the_layers_shown(): void
    {
        $this->visit('/blocks/2/press');
        $this->named('Compare')->click();
        $this->find('.comparison summary')->click();
        $this->waitUntil(fn (): bool => count($this->texts('.comparison tbody tr')) === 5, 'the five schools do not stand side by side');
        $this->find('.comparison tr[data-style="open"] button')->click();
        $this->waitUntil(fn (): bool => $this->station()['totals'] === ['nested' => '0', 'stacked' => '0', 'flat' => '9', 'lopsided' => '0'], 'not pressed open');
        self::assertSame('open', $this->attribute('.seam[data-join="16"]', 'data-press'));

        $this->named('Show the layers')->click();
        $this->waitUntil(fn (): bool => count($this->texts('.ply-map text')) === 9, 'no figure at every crossing');
        $this->named('Show the cloth')->click();
        $this->find('.block-back');
    }

    public function test_another_order_of_sewing_is_chosen_and_kept(): void
    {
        $this->visit('/blocks/2/order');
        $this->find('.order[data-order="columns"]')->click();
        $this->waitUntil(fn (): bool => $this->attribute('.order[data-order="columns"]', 'aria-checked') === 'true', 'not chosen');
        self::assertCount(7, $this->browser->findElements(WebDriverBy::cssSelector('.orders .film')));
        $this->visit('/blocks/2/press');
        $this->seesText('by columns');
        $this->clickOn('.step[data-step="6"]');
        $this->seesText('Sew column 1');
    }

    public function test_an_order_of_ones_own_is_grown_by_mouse_and_keys_and_kept(): void
    {
        $this->visit('/blocks/2/order');
        $this->named('Sew it in an order of your own')->click();
        $this->find('.apart');
        $this->clickOn('.part[data-part="0"]');
        $this->clickOn('.part[data-part="1"]');
        $this->waitUntil(fn (): bool => count($this->texts('.part')) < 16, 'the two are not sewn');
        $this->named('Take back Backspace')->click();
        $this->waitUntil(fn (): bool => count($this->texts('.part')) === 16, 'not taken back');
        $this->browser->executeScript("document.querySelector('.apart').focus()");
        foreach ([8, 4, 2, 1] as $left) {
            $this->press('2');
            $this->waitUntil(fn (): bool => count($this->texts('.part')) === $left, "not $left parts");
        }
        $this->fill('.keep input', 'Twos of twos');
        if (is_string(getenv('KEEN_SEAM_PICTURES'))) {
            $this->browser->takeScreenshot(getenv('KEEN_SEAM_PICTURES').'/own-order.png');
        }
        $this->named('Keep it and sew so')->click();
        $this->waitUntil(fn (): bool => $this->attribute('.order[data-order="own:Twos of twos"]', 'aria-checked') === 'true', 'not kept');
        $this->seesText('Twos of twos');
        $this->visit('/blocks/2/press');
        $this->find('.totals');
        $this->seesText('Twos of twos');
    }

    /** @return array{crossing: string, press: string, totals: array<string, string>} */
    private function station(): array
    {
        $this->find('.totals');
        $totals = [];
        foreach (['nested', 'stacked', 'flat', 'lopsided'] as $kind) {
            $totals[$kind] = $this->find(".legend [data-total=\"$kind\"] .count")->getText();
        }

        return [
            'crossing' => $this->attribute('[data-crossing="3 3"]', 'data-kind'),
            'press' => $this->attribute('.seam[data-join="16"]', 'data-press'),
            'totals' => $totals,
        ];
    }

    private function flipFromThePanel(int $join): void
    {
        $this->find(".seam[data-join=\"$join\"]");
        // Its middle lies under an arrow, which would flip it; the seam itself is only looked at.
        $this->browser->executeScript("document.querySelector('.seam[data-join=\"$join\"] > .reach').dispatchEvent(new MouseEvent('click', { bubbles: true }))");
        $this->waitUntil(fn (): bool => $this->attribute('.seam.chosen', 'data-join') === (string) $join, 'the seam is not chosen');
        $this->find('.way:not(.now):not([disabled])')->click(); // no longer saving what was done before
    }
}
