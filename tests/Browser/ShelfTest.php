<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;

final class ShelfTest extends BrowserTestCase
{
    public function test_a_broken_file_is_answered_and_a_good_one_taken(): void
    {
        $this->visit('/');
        $this->named('Open Slack Water');
        $demo = (string) file_get_contents(self::root().'/database/demo/slack-water.keenseam.json');

        $this->bringIn(str_replace('"turn": 90', '"tern": 90', $demo));
        $this->seesText('The field "tern" at /cells/1 is unknown. Remove it, or correct its name.');
        self::assertCount(3, $this->browser->findElements(WebDriverBy::cssSelector('.blocks > li')));

        $this->bringIn(str_replace('"Slack Water"', '"Ebb Water"', $demo));
        $this->seesText('“Ebb Water” is on the shelf now.');
        $this->named('Open Ebb Water')->click();
        $this->find('.block-back');
        self::assertSame('9', $this->find('.legend [data-total="nested"] .count')->getText());
    }

    public function test_taking_off_is_undone_at_once(): void
    {
        $this->visit('/');
        $this->find('.blocks li:nth-child(2) .deeds button:last-child')->click();
        $this->seesText('“Slack Water” is off the shelf.');
        $this->waitUntil(fn (): bool => count($this->texts('.blocks h2')) === 2, 'it still stands there');
        $this->named('Put it back')->click();
        $this->waitUntil(fn (): bool => $this->texts('.blocks h2') === ['Lamp Room', 'Slack Water', 'Tide Gate'], 'it did not come back');
    }

    public function test_nothing_is_asked_of_any_other_host_and_nothing_sticks_out_sideways(): void
    {
        foreach ([[1280, 800], [820, 1180]] as [$width, $height]) {
            $this->browser->manage()->window()->setSize(new WebDriverDimension($width, $height));
            foreach (['/' => '.blocks', '/blocks/1/press' => '.totals', '/blocks/1/machine' => '.deed'] as $path => $sign) {
                $this->visit($path);
                $this->find($sign);
                $asked = $this->browser->executeScript('return performance.getEntriesByType("resource").map((entry) => new URL(entry.name).origin)');
                self::assertSame([$this->address], array_values(array_unique((array) $asked)), $path);
                $over = $this->browser->executeScript('return document.documentElement.scrollWidth - document.documentElement.clientWidth');
                self::assertSame(0, $over, "$path at $width");
            }
        }
        self::assertSame([], array_filter((array) $this->browser->manage()->getLog('browser'), static fn (array $entry): bool => $entry['level'] === 'SEVERE'));
    }

    private function bringIn(string $text): void
    {
        $file = sys_get_temp_dir().'/'.bin2hex(random_bytes(6)).'.keenseam.json';
        file_put_contents($file, $text);
        $this->find('input[type="file"]')->setFileDetector(new LocalFileDetector())->sendKeys($file);
    }
}
