<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** What is set once: units, keys, type and hints; and what is told beside a field, in a bubble, on a card. */
final class SettingsTest extends BrowserTestCase
{
    public function test_the_house_measures_in_millimetres_from_now_on(): void
    {
        $this->visit('/');
        $this->find('.settings-button')->click();
        $this->find('.settings-form');
        $this->clickText('.settings-form .el-radio-button', 'millimetres');
        $this->waitUntil(fn (): bool => str_contains($this->find('.switch-shelf')->getText(), 'Switch all of it to millimetres'), 'the house does not follow');
        $this->fill('input[aria-label="Seam allowance of new blocks, mm"]', '90'.WebDriverKeys::TAB);
        $this->waitUntil(fn (): bool => str_contains($this->find('.settings-form .el-form-item__error')->getText(), 'A seam allowance lies between'), 'nothing is said beside the field');
        $this->clickText('.switch-shelf button', 'in sizes one uses there');
        $this->waitUntil(fn (): bool => str_contains($this->find('.switch-shelf')->getText(), '3 are measured in millimetres now. Night Watch'), 'it is not told');
        $this->press(WebDriverKeys::ESCAPE);
        $this->waitUntil(fn (): bool => str_contains($this->find('.blocks')->getText(), '300 mm finished'), 'the shelf does not follow');
        $this->clickText('button', 'New block');
        $this->waitUntil(fn (): bool => $this->texts('.new-block .soft .number') === ['4 columns of 75 mm', '4 rows of 75 mm'], 'a new block does not follow');

        $this->visit('/blocks/3/wall');
        $this->seesText('300 mm finished');
        $this->named('Undo')->click();
        $this->waitUntil(fn (): bool => str_contains($this->find('.wall header')->getText(), '12 in finished'), 'undo does not bring inches back');
    }

    public function test_letters_act_where_the_focus_is_or_never_and_type_grows(): void
    {
        $turn = fn (): string => $this->attribute('[data-cell="1.1"]', 'data-turn');
        $this->visit('/blocks/3/wall');
        $this->find('[data-cell="1.1"]');
        $before = $turn();
        $this->set('where the focus is');
        $this->browser->executeScript('document.activeElement.blur()');
        $this->press('t');
        $this->find('.tools button');
        usleep(300_000);
        self::assertSame($before, $turn(), 'the focus is elsewhere');
        $this->clickOn('[data-cell="1.1"]');
        $this->press('t');
        $this->waitUntil(fn (): bool => $turn() !== $before, 'the key does not act at the wall');
        $after = $turn();
        $this->set('never');
        $this->clickOn('[data-cell="1.1"]');
        $this->press('t');
        usleep(300_000);
        self::assertSame($after, $turn());
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $this->waitUntil(fn (): bool => $this->attribute('[data-cell="1.2"]', 'aria-selected') === 'true', 'arrows act as ever');

        $size = fn (): float => (float) $this->browser->executeScript('return parseFloat(getComputedStyle(document.querySelector("h1")).fontSize)');
        $usual = $size();
        $this->set('largest');
        self::assertEqualsWithDelta(1.3, $size() / $usual, 0.01);
        $this->browser->navigate()->refresh();
        $this->find('[data-cell="1.1"]');
        self::assertEqualsWithDelta(1.3, $size() / $usual, 0.01, 'it is remembered');
    }

    public function test_hints_come_one_after_the_other_and_stay_closed_until_they_are_asked_for(): void
    {
        $this->visit('/blocks/3/press');
        foreach (['The plan is made already', 'Touch an arrow', 'Below are the steps'] as $hint) {
            $this->waitUntil(fn (): bool => str_contains($this->find('.station-hint')->getText(), $hint), "no hint \"$hint\"");
            $this->find('.station-hint button')->click();
        }
        $this->browser->navigate()->refresh();
        $this->find('.totals');
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('.station-hint')));
        $this->find('.settings-button')->click();
        $this->clickText('.which-hints .el-checkbox', 'wall');
        self::assertStringContainsString('wall-3', (string) $this->browser->executeScript('return localStorage.getItem("keen-seam:closed-hints")'), 'those of the wall are closed together');
        $this->clickText('button', 'Show the hints again');
        $this->waitUntil(fn (): bool => str_contains((string) $this->browser->executeScript('return document.querySelector(".station-hint")?.textContent ?? ""'), 'The plan is made already'), 'the hints are not back');
    }

    public function test_words_explain_themselves_on_a_card_and_on_a_page_that_is_searched(): void
    {
        $this->visit('/blocks/3/press');
        $this->find('.totals .trade-word')->sendKeys(WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => str_contains($this->find('.el-popover .card')->getText(), 'A place where seams of both sides of a join meet'), 'the card does not open');
        $this->find('.el-popover .card a')->click();
        $this->find('dl .meant');
        $this->fill('input[aria-label="Look for a word"]', 'spin');
        $this->waitUntil(fn (): bool => $this->texts('dt') === ['Furl'], 'the word is not found');
    }

    public function test_a_refusal_stands_beside_its_field_and_a_bubble_tells_what_a_control_does(): void
    {
        $this->visit('/blocks/3/joins');
        $this->find('.seam-ruler');
        $this->browser->executeScript('[...document.querySelectorAll("aside .text-field")].find((one) => one.textContent.includes("Eased")).querySelector("input").id = "eased"');
        $this->fill('#eased', 'lots'.WebDriverKeys::TAB);
        $this->waitUntil(fn (): bool => str_contains($this->find('.text-field.wrong')->getText(), '"lots" is not a length.'), 'nothing is said beside the field');
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('.problem-note')), 'it is said once');
        $this->fill('#eased', '1/4'.WebDriverKeys::TAB);
        $this->waitUntil(fn (): bool => $this->browser->findElements(WebDriverBy::cssSelector('.text-field.wrong')) === [], 'it still stands there');

        $this->visit('/blocks/3/wall');
        $this->find('.unit-tray button');
        $this->browser->executeScript('document.querySelector(".unit-tray button").focus()');
        $this->press(WebDriverKeys::TAB);
        $this->waitUntil(fn (): bool => in_array('half-square triangle (2; with Shift, one over all chosen places)', array_map(static fn ($one): string => $one->getText(), $this->browser->findElements(WebDriverBy::cssSelector('.el-popper'))), true), 'no bubble for the keyboard');
    }

    private function set(string $choice): void
    {
        $this->find('.settings-button')->click();
        $this->clickText('.settings-form .el-radio-button', $choice);
        $this->press(WebDriverKeys::ESCAPE);
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return [...document.querySelectorAll(".el-overlay")].every((one) => !one.checkVisibility())') === true, 'the settings do not close');
    }
}
