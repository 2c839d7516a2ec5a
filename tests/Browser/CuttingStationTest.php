<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

final class CuttingStationTest extends BrowserTestCase
{
    public function test_another_way_changes_the_list_and_what_is_cut_stays_ticked(): void
    {
        $this->visit('/blocks/3/cut');
        $this->find('.unit-card[data-unit="U1"]');
        self::assertSame('two-at-a-time', $this->attribute('.unit-card[data-unit="U1"]', 'data-way'));
        $before = $this->texts('.cuts li');

        $this->choose('How half-square triangles are made', 'eight');
        $this->waitUntil(fn (): bool => $this->attribute('.unit-card[data-unit="U1"]', 'data-way') === 'eight-at-a-time' && $this->texts('.cuts li') !== $before, 'the list does not follow');
        $this->seesText('4 spare');

        $this->browser->findElements(WebDriverBy::cssSelector('.cuts li label'))[0]->click();
        $this->waitUntil(fn (): bool => count($this->texts('.cuts li.done')) === 1 && $this->texts('.saved') === ['Saved'], 'the stack is not ticked');
        $this->browser->navigate()->refresh();
        $this->waitUntil(fn (): bool => count($this->texts('.cuts li.done')) === 1, 'the tick is not kept');
        self::assertSame('eight-at-a-time', $this->attribute('.unit-card[data-unit="U1"]', 'data-way'));
    }

    public function test_a_patterns_list_is_checked(): void
    {
        $this->visit('/blocks/3/cut');
        $this->find('.at-the-table');
        $this->browser->findElements(WebDriverBy::cssSelector('.at-the-table summary'))[3]->click();
        $this->find('.at-the-table textarea')->sendKeys("Sea glass, 5 1/4, 3\nMussel plum, 2 3/4, 6");
        $this->browser->findElements(WebDriverBy::cssSelector('.at-the-table .row .ask'))[0]->click();
        $this->seesText('Line 2: too small: 2 7/8 is needed.');
    }
}
