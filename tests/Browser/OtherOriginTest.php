<?php

declare(strict_types=1);

namespace Tests\Browser;

use Symfony\Component\Process\Process;

/** A page of another site, in a real browser, gets nothing of the shelf and changes nothing on it. */
final class OtherOriginTest extends BrowserTestCase
{
    public function test_a_page_on_another_origin_reads_nothing_changes_nothing_and_frames_nothing(): void
    {
        $folder = sys_get_temp_dir().'/keenseam-site-'.bin2hex(random_bytes(4));
        mkdir($folder);
        file_put_contents($folder.'/index.html', <<<HTML
            <!doctype html><title>waits</title>
            <form id="form" method="post" action="{$this->address}/api/blocks/3" target="frame"><input name="_method" value="DELETE"></form>
            <form id="plain" method="post" action="{$this->address}/api/blocks" enctype="text/plain" target="frame"><input name='{"format":"keen-seam/block","x":"' value='"}'></form>
            <iframe name="frame"></iframe><iframe id="shelf" src="{$this->address}/"></iframe>
            <script>
              const tries = [
                fetch('{$this->address}/api/blocks').then((answer) => answer.json()).then(() => 'read'),
                fetch('{$this->address}/api/blocks/3', { method: 'DELETE' }).then(() => 'deleted'),
                fetch('{$this->address}/api/blocks/3/style', { method: 'PUT', headers: { 'Content-Type': 'application/json', 'If-Match': '"1"' }, body: '{"style":"open"}' }).then(() => 'changed'),
                fetch('{$this->address}/api/blocks/3/work/events', { method: 'POST', mode: 'no-cors', headers: { 'Content-Type': 'text/plain' }, body: '{"events":[]}' }).then((answer) => answer.type === 'opaque' ? 'sent' : 'read'),
              ]
              Promise.allSettled(tries).then((all) => {
                document.getElementById('form').submit()
                document.getElementById('plain').submit()
                window.told = all.map((one) => one.status === 'fulfilled' ? one.value : 'refused')
                setTimeout(() => { document.title = 'done' }, 700)
              })
            </script>
            HTML);
        $port = self::freePort();
        $site = new Process([PHP_BINARY, '-S', "127.0.0.1:$port", '-t', $folder]);
        $site->disableOutput();
        $site->start();
        try {
            self::waitForPort($port);
            $before = (string) file_get_contents($this->address.'/api/blocks');
            $this->browser->get("http://127.0.0.1:$port/");
            $this->waitUntil(fn (): bool => $this->browser->getTitle() === 'done', 'the other site does not finish');

            self::assertSame(['refused', 'refused', 'refused', 'refused'], $this->browser->executeScript('return window.told'), 'nothing can be read, not even that something was sent');
            self::assertTrue($this->browser->executeScript("try { return document.getElementById('shelf').contentDocument === null || document.getElementById('shelf').contentDocument.getElementById('app') === null } catch (error) { return true }"));
            self::assertSame($before, (string) file_get_contents($this->address.'/api/blocks'), 'nothing on the shelf has changed');
        } finally {
            $site->stop(1, SIGKILL);
            (new Process(['rm', '-rf', $folder]))->run();
        }
    }
}
