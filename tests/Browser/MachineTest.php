<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

final class MachineTest extends BrowserTestCase
{
    public function test_a_block_is_sewn_from_first_to_last_step_by_keys_alone(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $all = $this->stepsInAll();
        for ($step = 0; $step < $all; ++$step) {
            $this->find(".step[data-step=\"$step\"]");
            if ($this->attribute('.step', 'data-do') === 'measure') {
                // Two keys tell that it measures what it should.
                $this->press('4');
                $this->press('4');
            } elseif ($step % 2 === 0) {
                // Every piece is counted, or all are done at once.
                for ($left = $this->timesLeft(); $left > 0; --$left) {
                    $this->press(' ');
                }
            } else {
                $this->press(WebDriverKeys::ENTER);
            }
        }
        $this->seesText('All sewn and pressed');
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'Saved'), 'not saved');
        $this->browser->navigate()->refresh();
        $this->seesText('All sewn and pressed');
        $this->visit('/');
        $this->waitUntil(fn (): bool => str_contains($this->find('.blocks')->getText(), 'all sewn'), 'the shelf does not tell');
    }

    public function test_keys_pressed_while_the_server_is_away_are_neither_lost_nor_doubled(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->press(' ');
        $this->find('.step[data-step="1"]');
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'Saved'), 'not saved');
        $this->stopServer();
        foreach ([' ', ' ', 'b', ' '] as $key) {
            $this->press($key);
        }
        $this->find('.step[data-step="3"]');
        $this->seesText('No answer: 4 kept here');
        $this->startServer();
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'Saved'), 'what was kept is not sent');
        $this->browser->navigate()->refresh();
        $this->find('.step[data-step="3"]');
    }

    public function test_a_seam_is_unpicked_after_its_cost_was_told(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->toStep('press', 3);
        $done = (int) $this->attribute('.step', 'data-step');
        $this->press('u');
        $this->seesText('Opens 1 seam and sews it again');
        $this->named('Unpick')->click();
        $this->waitUntil(fn (): bool => (int) $this->attribute('.step', 'data-step') < $done, 'the seam is not opened');
        self::assertSame('join', $this->attribute('.step', 'data-do'));
        $this->browser->navigate()->refresh();
        self::assertSame('join', $this->attribute('.step', 'data-do'));
    }

    public function test_a_pile_of_the_wrong_hand_is_mended_and_a_half_sewn_chain_is_opened_with_its_cause(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->toStep('lay-out', 1);
        $this->press('u');
        $this->clickText('.unpick .el-radio', 'wrong hand');
        $this->named('A whole pile of them is of the wrong hand: the least work')->click();
        $this->choose('Which units', 'split quarter-square triangle');
        $this->seesText('Take 2 seams out of each, turn what comes off and sew it on the other way round: 8 seams.');
        $this->look('hands');
        $this->named('Mend it so')->click();
        $this->seesText('Start the split quarter-square triangles with one');
        $this->toText('Now the rest of the split quarter-square triangles');
        self::assertSame(3, $this->timesLeft(), 'the other three');
        $this->press(' ');
        $this->press(' ');
        $this->find('.due[data-left="1"]');
        $this->press('u');
        $this->seesText('How many of the 2 that are sewn');
        $this->look('unpick');
        $this->named('Unpick')->click();
        $this->find('.due[data-left="2"]');
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'Saved'), 'not saved');
        $this->browser->navigate()->refresh();
        $this->find('.due[data-left="2"]');
    }

    public function test_units_are_sewn_in_twos_once_the_quilter_says_so(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->toStep('lay-out', 1);
        $this->clickOn('.settings summary');
        $this->clickText('.settings .el-radio', 'in twos, and twos of twos');
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'of 66'), 'the steps are as before');
        $this->clickOn('.settings summary');
        $this->clickOn('.deed.done');
        $this->seesText('4 pairs');
        $this->look('twos');
        $this->clickOn('.settings summary');
        $this->clickText('.settings .el-radio', 'along each row, one row after the other');
        $this->seesText('Sew row 1');
    }

    public function test_a_chain_is_counted_down_and_put_down_in_the_middle(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->toStep('square-up', 1);
        $step = $this->attribute('.step', 'data-step');
        self::assertSame(4, $this->timesLeft());
        $this->press(' ');
        $this->press(' ');
        $this->find('.due[data-left="2"]');
        $this->press('b');
        $this->find('.due[data-left="3"]');
        $this->press('p');
        $this->seesText('with 3 of 4 still to do');
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'Saved'), 'not saved');
        $this->browser->navigate()->refresh();
        $this->seesText('You stopped at step');
        $this->press(' ');
        $this->find(".step[data-step=\"$step\"] .due[data-left=\"3\"]");
        $this->press('c');
        $this->press(' ');
        $this->find('.step[data-step="'.((int) $step + 1).'"]');
    }

    public function test_the_plan_goes_round_a_row_that_was_pressed_the_other_way_and_is_unpicked_again(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->toStep('press', $this->nthOf('press', 'Row 1'));
        $planned = $this->find('.step .text')->getText();
        $this->press(WebDriverKeys::ENTER);
        $second = $this->textOfStep('Row 2');
        $this->press('b');
        $this->waitUntil(fn (): bool => $this->find('.step .text')->getText() === $planned, 'not taken back');
        $this->press('o');
        $this->waitUntil(fn (): bool => str_contains($this->find('h1')->getText(), 'Row 2'), 'the next row is not there');
        $this->waitUntil(fn (): bool => $this->find('.step .text')->getText() !== $second, 'row 2 is still pressed as it was planned');
        $adapted = $this->find('.step .text')->getText();

        // The last seam of row 1 is opened and sewn again: row 2 stays as it goes with what is pressed.
        $this->press('u');
        $this->choose('Which', 'Row 1, seam 3');
        $this->seesText('Opens 1 seam and sews it again: Row 1, seam 3.');
        $this->seesText('Touches the half-square triangle at row 1, column 4.');
        $this->named('Unpick')->click();
        $this->waitUntil(fn (): bool => str_contains($this->find('.step .text')->getText(), 'Again. Sew row 1'), 'row 1 is not opened');
        self::assertSame(1, $this->timesLeft(), 'one seam of three');
        $this->press(' ');
        $this->seesText('Again. Row 1');
        $this->press(' ');
        $this->waitUntil(fn (): bool => $this->find('.step .text')->getText() === $adapted, 'row 2 is pressed otherwise now');
    }

    public function test_the_logbook_tells_what_was_done_and_is_kept_as_a_file(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->browser->findElement(WebDriverBy::linkText('Logbook'))->click();
        $this->seesText('Nothing is written yet');
        $this->visit('/blocks/3/machine');
        $this->toStep('measure', 2);
        $this->press('2');
        $this->press('4');
        $this->seesText('too small');
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'Saved'), 'not saved');
        $this->browser->findElement(WebDriverBy::linkText('Logbook'))->click();
        $this->seesText('Logbook: Tide Gate');
        $this->find('table[aria-label="Time by place"]');
        $file = $this->browser->findElement(WebDriverBy::linkText('Keep as CSV'))->getAttribute('href');
        self::assertStringContainsString('Tide Gate', (string) file_get_contents($this->address.parse_url((string) $file, PHP_URL_PATH)));
        $this->browser->findElement(WebDriverBy::linkText('All blocks'))->click();
        $this->seesText('Logbook of all blocks');
    }

    public function test_hands_and_pedal_are_chosen_and_remembered(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->toStep('join', $this->nthOf('join', 'Rows 1 and 2'));
        $this->seesText('sew at the right');
        $this->press('l');
        $this->seesText('sew at the left');
        $step = (int) $this->attribute('.step', 'data-step');
        $this->find('.settings summary')->click();
        $this->find('.settings .settings-button')->click();
        $this->find('.settings-form');
        $this->browser->executeScript('const pedal = [...document.querySelectorAll(".settings-form button")].find((one) => one.textContent.includes("choose its key")); pedal.focus(); pedal.click()');
        $this->press('x');
        $this->waitUntil(fn (): bool => str_contains((string) $this->browser->executeScript('return document.querySelector(".settings-form").textContent'), 'It types x'), 'the pedal has no key');
        $this->press(WebDriverKeys::ESCAPE);
        $this->waitUntil(fn (): bool => $this->browser->executeScript('return [...document.querySelectorAll(".el-overlay")].every((one) => !one.checkVisibility())') === true, 'the settings do not close');
        $this->browser->executeScript('document.querySelector(".settings").open = false; document.activeElement.blur()');
        $this->press('x');
        $this->find('.step[data-step="'.($step + 1).'"]');
        $this->find('.pedal')->click();
        $this->find('.step[data-step="'.($step + 2).'"]');
        $this->browser->navigate()->refresh();
        $this->find('.machine.left-handed');
        $this->press(WebDriverKeys::ESCAPE);
        $this->find('.totals');
    }

    /** Goes on until the given kind of step is there for the nth time. */
    private function toStep(string $kind, int $nth): void
    {
        for ($step = 0; $step < $this->stepsInAll(); ++$step) {
            $this->find(".step[data-step=\"$step\"]");
            $nth -= $this->attribute('.step', 'data-do') === $kind ? 1 : 0;
            if ($nth === 0) {
                return;
            }
            $this->press(WebDriverKeys::ENTER);
        }
    }

    /** Goes on until the step says so. */
    private function toText(string $text): void
    {
        for ($tries = 0; $tries < 20 && ! str_contains($this->find('.step .text')->getText(), $text); ++$tries) {
            $step = $this->attribute('.step', 'data-step');
            $this->press(WebDriverKeys::ENTER);
            $this->waitUntil(fn (): bool => $this->attribute('.step', 'data-step') !== $step, 'the step stays');
        }
        $this->seesText($text);
    }

    /** How many steps of a kind come up to that of a row. */
    private function nthOf(string $kind, string $title): int
    {
        $steps = json_decode((string) file_get_contents($this->address.'/api/blocks/3/work'), true, 512, JSON_THROW_ON_ERROR)['steps'];
        $ofKind = array_values(array_filter($steps, static fn (array $step): bool => $step['do'] === $kind));

        return 1 + (int) array_search($title, array_column($ofKind, 'title'), true);
    }

    private function textOfStep(string $title): string
    {
        $this->waitUntil(fn (): bool => str_contains($this->find('h1')->getText(), $title), "$title is not there");

        return $this->find('.step .text')->getText();
    }

    private function timesLeft(): int
    {
        $due = $this->browser->findElements(WebDriverBy::cssSelector('.due'));

        return $due === [] ? 1 : (int) $due[0]->getAttribute('data-left');
    }

    private function stepsInAll(): int
    {
        preg_match('~of (\d+)~', $this->find('header')->getText(), $count);

        return (int) ($count[1] ?? 0);
    }
}
