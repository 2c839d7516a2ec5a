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
            } else {
                $this->press(' ');
            }
        }
        $this->seesText('All sewn and pressed');
        $this->waitUntil(fn (): bool => str_contains($this->find('header')->getText(), 'Saved'), 'not saved');
        $this->browser->navigate()->refresh();
        $this->seesText('All sewn and pressed');
        $this->visit('/');
        $this->seesText("$all steps done");
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

    public function test_hands_and_pedal_are_chosen_and_remembered(): void
    {
        $this->visit('/blocks/3/machine');
        $this->find('.step[data-step="0"]');
        $this->toStep('join', 1);
        $this->seesText('sew at the right');
        $this->press('l');
        $this->seesText('sew at the left');
        $step = (int) $this->attribute('.step', 'data-step');
        $this->find('.settings summary')->click();
        $this->browser->findElement(WebDriverBy::cssSelector('.settings .again'))->click();
        $this->press('x');
        $this->find('.settings summary')->click();
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
            $this->press(' ');
        }
    }

    private function stepsInAll(): int
    {
        preg_match('~of (\d+)~', $this->find('header')->getText(), $count);

        return (int) ($count[1] ?? 0);
    }
}
