<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use League\Flysystem\UnableToWriteFile;
use Lustrum\Action\Files\Checking;
use Lustrum\Action\Files\Quota;
use Lustrum\Http\Problem;
use Lustrum\Storage\DiskSpace;
use Lustrum\Storage\Files;
use Symfony\Component\Uid\Uuid;

/** What takes up the storage, how much one workspace may take, a disk that is full, and who came and went. */
final class StorageTest extends ApiTestCase
{
    private function notes(string $build, int $bytes, string $name = 'notes.txt'): int
    {
        $file = sys_get_temp_dir().'/lustrum-storage-'.getmypid().'.txt';
        file_put_contents($file, str_repeat('abcdefghi ', intdiv($bytes, 10)).random_int(0, 1_000_000));
        $this->upload('/api/photos/'.Uuid::v7()->toRfc4122(), $file, ['revision' => $build, 'caption' => $name]);

        return $this->answered();
    }

    public function testWhatTakesUpTheStorageIsSaid(): void
    {
        $build = $this->bench()->a;
        $this->notes($build, 3000, 'small');
        $this->notes($build, 90_000, 'large');
        $this->document($build, str_repeat('x', 20_000), 'bracket.dxf');
        $storage = $this->json('GET', '/api/workspaces/'.$this->workspace.'/storage');
        self::assertSame('Workshop takes 113 kB of the 20.0 GB that it may take.', self::text($storage, 'sentence'));
        self::assertSame([['Wagtail', '113 kB', '3 documents']], array_map(
            static fn (mixed $row): array => [self::text((array) $row, 'name'), self::text((array) $row, 'size'), self::text((array) $row, 'of')],
            (array) $storage['devices'],
        ));
        self::assertSame(['large', 'bracket.dxf', 'small'], array_column((array) $storage['largest'], 'name'));
        self::assertSame('Wagtail A', self::text($storage, 'largest', 0, 'where'));
    }

    public function testAWorkspaceTakesNoMoreThanItMay(): void
    {
        $build = $this->bench()->a;
        self::assertSame(201, $this->notes($build, 3000));
        $quota = self::service(Quota::class);
        $its = static fn (string $name): mixed => (new \ReflectionProperty($quota, $name))->getValue($quota);
        self::assertSame(20.0, $its('gigabytes'));
        // As much as is there, and a little; where the kernel shows itself there is no room for anything.
        $of = new \ReflectionClass(Quota::class);
        $small = $of->newInstance($its('stored'), $its('disk'), 4000 / 1e9);
        $full = $of->newInstance($its('stored'), new DiskSpace('/proc'), 20.0);
        $workspace = self::service(\Doctrine\ORM\EntityManagerInterface::class)->find(\Lustrum\Account\Workspace::class, $this->workspace);
        self::assertNotNull($workspace);
        $small->mustHold($workspace, 900);
        try {
            $small->mustHold($workspace, 1100);
            self::fail('It was taken.');
        } catch (\Lustrum\Shared\Refusal\NoSpace $e) {
            self::assertStringStartsWith('This would be more than the 4 kB that this workspace may take (3 kB are taken).', $e->getMessage());
            self::assertSame([507, 'no-space'], [Problem::thrown($e)->status, Problem::thrown($e)->kind]);
        }
        $this->expectExceptionMessage('The disk of the server is full');
        $full->mustHold($workspace, 0);
    }

    public function testAFullDiskSaysSo(): void
    {
        $full = UnableToWriteFile::atLocation('ab/cd', 'file_put_contents(): write of 8192 bytes failed with errno=28 No space left on device');
        self::assertSame(507, Problem::thrown($full)->status);
        self::assertStringContainsString('The disk of the server is full', Problem::thrown($full)->detail);
        self::assertSame(500, Problem::thrown(UnableToWriteFile::atLocation('ab/cd', 'Permission denied'))->status);
        $health = $this->json('GET', '/api/health');
        self::assertSame(['ok' => true, 'disk' => 'enough'], $health);
    }

    public function testWhatNobodyNamesIsFoundAndSwept(): void
    {
        $build = $this->bench()->a;
        $this->notes($build, 100);
        $left = sys_get_temp_dir().'/lustrum-left-'.getmypid();
        file_put_contents($left, random_bytes(64));
        $sha256 = Files::sha256($left);
        self::service(Files::class)->keep(Files::path($sha256, false), $left);
        $checking = self::service(Checking::class);
        $before = $checking->unnamed(false)['files'];
        touch($this->store(Files::path($sha256, false)), time() - 100_000);
        self::assertSame($before + 1, $checking->unnamed(true)['files'], 'A day old, and nobody’s.');
        self::assertFalse(self::service(Files::class)->has($sha256));
        $kept = self::service(Connection::class)->fetchOne('SELECT sha256 FROM photo LIMIT 1');
        touch($this->store(Files::path(is_string($kept) ? $kept : '', false)), time() - 100_000);
        $checking->unnamed(true);
        self::assertTrue(self::service(Files::class)->has(is_string($kept) ? $kept : ''), 'What is named stays.');
    }

    private function store(string $path): string
    {
        $folder = self::getContainer()->getParameter('lustrum.files');

        return (is_string($folder) ? $folder : '').'/'.$path;
    }

    public function testLeadsSeeWhoCameAndWent(): void
    {
        $bench = $this->bench();
        $this->client->request('GET', '/api/devices/'.$bench->device.'/export.json');
        $this->client->getInternalResponse()->getContent();
        $members = '/api/workspaces/'.$this->workspace.'/members';
        $new = ['name' => 'Nora', 'email' => 'nora@example.test', 'role' => 'viewer', 'password' => self::PASSWORD];
        $person = self::text($this->json('PUT', $members, $new), 'id');
        $this->json('PUT', $members, ['role' => 'member'] + $new);
        $this->json('DELETE', $members.'/'.$person);
        $log = $this->json('GET', '/api/workspaces/'.$this->workspace.'/log');
        self::assertSame(
            ['removed Nora', 'made Nora member', 'added Nora as viewer', 'exported Wagtail as a device file'],
            array_slice(array_column((array) $log['rows'], 'what'), 0, 4),
        );
        self::assertSame('Lead', self::text($log, 'rows', 0, 'by'));
        self::assertStringStartsWith('In the last 30 days: nobody signed in, one export.', self::text($log, 'sentence'));
        $this->signIn('member@example.test');
        $this->json('GET', '/api/workspaces/'.$this->workspace.'/log');
        self::assertSame(403, $this->answered());
    }
}
