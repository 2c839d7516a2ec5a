<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

final class JoinsStationTest extends BrowserTestCase
{
    public function test_a_seam_test_shows_its_miss_at_the_right_join(): void
    {
        $this->visit('/blocks/3/joins');
        $this->find('.seam-ruler');
        $this->seesText('With these seams everything comes out as it should.');
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('[data-verdict="ease"]')));

        // Three strips of 1 1/2 in that come out at 3 3/8: each of the two seams takes 9/16, 1/16 too much.
        $this->find('form[aria-label="Seam test"] input[required]')->sendKeys('3 3/8');
        $this->named('Work it out')->click();
        $this->seesText('Each seam takes 1/16 in too much.');
        $this->seesText('too small');
        $this->choose('Squared up before joining', 'nothing');
        $this->waitUntil(fn (): bool => $this->browser->findElements(WebDriverBy::cssSelector('[data-verdict="ease"], [data-verdict="unpick"]')) !== [], 'no join tells of a miss');

        $this->browser->navigate()->refresh();
        $this->seesText('too small');
        $this->named('Back to seams as they should be')->click();
        $this->seesText('With these seams everything comes out as it should.');
    }

    public function test_a_measured_row_changes_the_advice(): void
    {
        $this->visit('/blocks/3/joins');
        $this->find('.seam-ruler');
        $row = $this->until(fn (): mixed => $this->browser->executeScript('return [...document.querySelectorAll(".list button")].find((one) => one.textContent.includes("Row 2, seam 3"))?.dataset.join ?? false'), 'there is no such join');
        $this->browser->executeScript("document.querySelector('[data-join=\"$row\"]').click()");
        $this->find('.measure input[aria-label="Measured width"]')->sendKeys('12 3/4');
        $this->find('.measure input[aria-label="Measured height"]')->sendKeys('4 1/2');
        $this->named('Keep')->click();
        $this->seesText('Trim row 2; then everything can be eased.');
        $this->named('Forget it')->click();
        $this->waitUntil(fn (): bool => ! str_contains($this->find('body')->getText(), 'Trim what Row 2'), 'the advice stays');
    }

    public function test_a_slip_of_the_pen_is_questioned_not_swallowed(): void
    {
        $this->visit('/blocks/3/joins');
        $this->find('form[aria-label="Seam test"] input[required]')->sendKeys('12');
        $this->named('Work it out')->click();
        $this->seesText('"12" is not likely. Measure again.');
        $this->seesText('With these seams everything comes out as it should.');
    }
}
