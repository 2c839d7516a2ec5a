<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

final class TopTest extends BrowserTestCase
{
    public function test_a_top_is_made_of_a_block_set_on_point_and_planned(): void
    {
        $this->visit('/');
        $this->find('.blocks');
        $this->clickText('button', 'New top');
        $this->find('.new-top .text-field input')->sendKeys('Slipway');
        $this->clickOn('.new-top .block:nth-of-type(3) .el-checkbox');
        $this->clickText('.new-top button', 'Lay it out');
        $this->seesText('24 x 24 in finished');
        self::assertSame('Slipway · Keen Seam', $this->browser->getTitle());
        self::assertCount(4, $this->texts('.top-face .place'));

        $this->clickText('button', 'Plan the top');
        $this->seesText('Make 4 blocks, all pressed alike.');
        $this->seesText('crossings nest');
        $this->look('top-planned');
        $this->clickText('.el-radio-button', 'Back');
        $this->seesText('all crossings along the long seams nest');
        self::assertCount(4, $this->texts('.top-back use'));
        $this->look('top-back');
        $this->clickOn('.top-back .live[data-join] .toward');
        $this->waitUntil(fn (): bool => count($this->texts('.top-back .held')) > 0, 'the seam was not held');
        $this->clickOn('.top-back .crossing .reach');
        $this->waitUntil(fn (): bool => count($this->texts('.crossing-lens')) === 1, 'there is no lens');
        $this->look('top-lens');
        $this->clickOn('.pile [data-stretch] .reach');
        $this->waitUntil(fn (): bool => str_contains(implode('', $this->texts('.pile')), 'Let the held seam free'), 'the seam of the pile was not held');
        $this->look('top-held');
        // By keys: one seam is reached by Tab, the others by arrows.
        self::assertSame(['0'], array_values(array_unique(array_map(static fn ($one): string => (string) $one->getDomProperty('tabIndex'), $this->browser->findElements(WebDriverBy::cssSelector('.top-back [tabindex="0"]'))))));
        $this->browser->executeScript('document.querySelector(".top-back [tabindex=\'0\']").focus()');
        $this->press(WebDriverKeys::ARROW_RIGHT);
        $before = $this->browser->executeScript('return document.activeElement.getAttribute("aria-pressed") + document.activeElement.dataset.join');
        $this->press(WebDriverKeys::ENTER);
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return [...document.querySelectorAll(".top-back .live")].some((one) => one.getAttribute("aria-pressed") + one.dataset.join === arguments[0])', [str_replace('false', 'true', (string) $before)]) === true, "the seam $before was not held by its key");
        $this->clickText('summary', 'The long joins, with their rulers');
        $this->waitUntil(fn (): bool => count($this->texts('.top-joins .seam-ruler')) === 1, 'there is no ruler');
        $this->look('top-joins');
        $this->clickText('summary', 'Blocks that came out otherwise');
        $this->seesText('Every block should measure');
        $this->clickText('.el-radio-button', 'Face');
        $this->clickOn('.top-face .place');
        $this->waitUntil(fn (): bool => count($this->texts('.top-sizes form')) === 1, 'nothing can be said of the block');
        $this->find('.top-sizes form input')->sendKeys('12 3/8');
        $this->clickText('.top-sizes button', 'Keep it');
        $this->waitUntil(fn (): bool => str_contains(implode('', $this->texts('.top-sizes')), 'Ease: where two meet they differ by 1/8 in at most.'), 'nothing is said of how to deal with it');
        $this->look('top-sizes');

        $this->clickText('.el-radio-button', 'on point');
        $this->seesText('in finished');
        $this->waitUntil(fn (): bool => count($this->texts('.top-face .place')) === 5, 'the place between is not there');
        $this->seesText('Plan the top');
        $this->look('top-on-point');
        $this->clickText('button', 'Take back: another setting');
        $this->waitUntil(fn (): bool => count($this->texts('.top-face .place')) === 4, 'it is still on point');
    }

    public function test_a_top_is_sewn_by_keys_alone_with_its_plan_held(): void
    {
        $this->visit('/');
        $this->find('.blocks');
        $this->clickText('button', 'New top');
        $this->find('.new-top .text-field input')->sendKeys('Slipway');
        $this->clickOn('.new-top .block:nth-of-type(3) .el-checkbox');
        $this->clickText('.new-top button', 'Lay it out');
        $this->clickText('button', 'Plan the top');
        $this->seesText('all pressed alike');
        $this->clickText('a', 'To the machine');
        $this->clickText('button', 'Begin');
        $this->find('.step');
        $title = fn (): string => $this->texts('h1')[0];
        $first = $title();
        self::assertStringStartsWith('0 of ', $this->texts('header .soft')[0]);
        $this->find('body')->sendKeys(' ');
        $this->waitUntil(fn (): bool => str_starts_with($this->texts('header .soft')[0], '1 of '), 'the first step was not done');
        $this->find('body')->sendKeys(WebDriverKeys::BACKSPACE);
        $this->waitUntil(fn (): bool => str_starts_with($this->texts('header .soft')[0], '0 of ') && $title() === $first, 'it was not taken back');
        $this->look('top-machine');

        $this->clickText('a', 'Slipway');
        $this->find('.top-face .place');
        $this->find('[aria-label="In which order the blocks are sewn together"]')->sendKeys(WebDriverKeys::ENTER);
        $this->clickText('.el-select-dropdown__item', 'By columns');
        $this->waitUntil(fn (): bool => str_contains(implode('', $this->texts('.panel')), '57 points to match'), 'what the order brings was not told');
        $this->clickText('a', 'To the machine');
        $this->seesText('The top was changed since the sewing began.');
        $this->clickText('button', 'Go on with the top as it is now');
        $this->waitUntil(fn (): bool => ! in_array('The top was changed since the sewing began. These steps are for the top as it was.', $this->texts('.changed span'), true), 'it still says so');
    }

    public function test_places_are_chosen_turned_and_mirrored_by_keys_alone(): void
    {
        $this->visit('/tops/1');
        $this->find('.top-face .place');
        $this->browser->executeScript('document.querySelector(".board").focus()');
        foreach ([WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_DOWN] as $key) {
            $this->find('.board')->sendKeys($key);
        }
        $this->seesText('Row 2, column 2');
        $this->find('.board')->sendKeys('t');
        $this->waitUntil(fn (): bool => $this->title('2/2') === 'Row 2, column 2: Slack Water, turned by 90', 'it was not turned');
        $this->find('.board')->sendKeys('m');
        $this->waitUntil(fn (): bool => $this->title('2/2') === 'Row 2, column 2: Slack Water, mirrored, turned by 90', 'it was not mirrored');
        $this->clickText('.el-radio-button', 'all');
        $this->find('.board')->sendKeys('t');
        $this->waitUntil(fn (): bool => str_ends_with($this->title('1/1'), 'Lamp Room, turned by 90'), 'the others were not turned');
    }

    public function test_what_is_refused_is_said_beside_the_field(): void
    {
        $this->visit('/tops/1');
        $this->find('.top-face .place');
        $this->fill('[aria-label="Width of the sashes"]', 'wide'.WebDriverKeys::TAB);
        $this->waitUntil(fn (): bool => str_contains(implode('', $this->texts('.wrong')), '"wide"'), 'nothing was said');
    }

    private function title(string $place): string
    {
        return (string) $this->browser->executeScript("return document.querySelector('[data-place=\"$place\"] title')?.textContent ?? ''");
    }
}
