<?php

declare(strict_types=1);

namespace Lustrum\Console;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\MemberInput;
use Lustrum\Account\Role;
use Lustrum\Account\User;
use Lustrum\Account\Workspace;
use Lustrum\Action\Exchange\DeviceFile;
use Lustrum\Action\Exchange\Importer;
use Lustrum\Action\Files\TakingHeap;
use Lustrum\Action\People\Members;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Heap\Camera;
use Lustrum\Domain\Heap\CameraInput;
use Lustrum\Domain\Method\Instrument;
use Lustrum\Domain\Method\InstrumentInput;
use Lustrum\Domain\Trial\Outing;
use Lustrum\Domain\Trial\OutingInput;
use Lustrum\Record\Inputs;
use Lustrum\Record\RecordWriter;
use Lustrum\Storage\Line;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\NullOutput;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Process\Process;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Authentication\Token\UsernamePasswordToken;
use Symfony\Component\Uid\Uuid;

/** Loads the demo workspace into an empty database: people, and the two devices from their files. */
#[AsCommand('lustrum:demo', 'Loads the demo workspace.')]
final class DemoCommand extends Command
{
    private const PEOPLE = [
        ['Maren Okafor', 'maren', Role::Lead], ['Tobias Lind', 'tobias', Role::Member], ['Ines Caldeira', 'ines', Role::Member],
        ['Yusuf Brandt', 'yusuf', Role::Member],
    ];

    public function __construct(
        private readonly EntityManagerInterface $em,
        private readonly Members $members,
        private readonly Importer $importer,
        private readonly TokenStorageInterface $tokens,
        private readonly RecordWriter $writer,
        private readonly Inputs $inputs,
        private readonly TakingHeap $heap,
        #[Autowire('%kernel.project_dir%/demo')]
        private readonly string $folder,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption(
            'pictures', null, InputOption::VALUE_REQUIRED, 'Folder in which the drawn pictures are kept',
            sys_get_temp_dir().'/lustrum-demo-pictures',
        );
        $this->addOption('without-pictures', null, InputOption::VALUE_NONE, 'Leaves the photographs out');
        $this->addOption('times', null, InputOption::VALUE_REQUIRED, 'How often each device is loaded (for measuring)', '1');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if ($this->em->getRepository(User::class)->count() > 0) {
            $output->writeln('There are accounts already; nothing was loaded.');

            return 0;
        }
        $pictures = $input->getOption('pictures');
        $times = $input->getOption('times');
        // All or nothing: half a demo would be taken for a whole one by the next start.
        $this->em->wrapInTransaction(
            fn () => $this->load(
                $input->getOption('without-pictures') === true ? null : (is_string($pictures) ? $pictures : sys_get_temp_dir()),
                is_numeric($times) ? (int) $times : 1, $output,
            ),
        );
        $this->prepare();

        return 0;
    }

    /** What stands in line is prepared before anybody looks: as the workers do it. */
    private function prepare(): void
    {
        $waiting = $this->em->getConnection()->fetchOne('SELECT count(*) FROM messenger_messages');
        $consume = $this->getApplication()?->find('messenger:consume');
        if (is_numeric($waiting) && $waiting > 0 && $consume !== null) {
            $lines = array_column(Line::cases(), 'value');
            $consume->run(new ArrayInput(['receivers' => $lines, '--limit' => (string) $waiting, '--time-limit' => '300']), new NullOutput());
        }
    }

    private function load(?string $pictures, int $times, OutputInterface $output): void
    {
        $workspace = new Workspace('Hollow Lane Workshop');
        $this->em->persist($workspace);
        $this->em->flush();
        $password = trim((string) file_get_contents($this->folder.'/password'));
        $lead = null;
        foreach (self::PEOPLE as [$name, $address, $role]) {
            $member = $this->members->letIn($workspace, new MemberInput($name, $address.'@hollowlane.example', $role, $password));
            $lead ??= $member->user();
        }
        // A second team, so that the walls between workspaces can be seen to stand.
        $other = new Workspace('Reed Street Makers');
        $this->em->persist($other);
        $this->em->flush();
        $this->members->letIn($other, new MemberInput('Odile Fenn', 'odile@reedstreet.example', Role::Lead, $password));
        // A third that has nothing, for whoever wants to begin from nothing.
        $empty = new Workspace('Bare Bench');
        $this->em->persist($empty);
        $this->em->flush();
        $this->members->letIn($empty, new MemberInput('Nora Vidal', 'nora@barebench.example', Role::Lead, $password));
        $this->members->letIn($workspace, new MemberInput('Petra Vance', 'petra@hollowlane.example', Role::Viewer, $password));
        $this->tokens->setToken(new UsernamePasswordToken($lead, 'main', $lead->getRoles()));
        $this->instruments($workspace);
        foreach (['seedeye', 'wren', 'rook', 'plover'] as $name) {
            $file = $this->file($name, $pictures);
            for ($i = 0; $i < $times; ++$i) {
                $done = $this->importer->importOurs(DeviceFile::of($file, $this->importer->kinds()), $workspace);
                $output->writeln(sprintf('  %s: %d records, %d pictures', $done->name, $done->records, $done->pictures));
            }
        }
        $this->outings($workspace);
        if ($pictures !== null) {
            $this->heap($workspace, $pictures);
        }
    }

    /** Days out gather trials of several devices, here by what they are called: they belong to no device file either. */
    private function outings(Workspace $workspace): void
    {
        foreach (Row::rows(Row::json((string) file_get_contents($this->folder.'/outings.json'))) as $row) {
            $trials = $this->em->getConnection()->fetchFirstColumn(
                'SELECT DISTINCT ON (name) id FROM trial WHERE workspace_id = ? AND name = ANY(CAST(? AS text[])) ORDER BY name, created_at',
                [$workspace->id()->toRfc4122(), '{"'.implode('","', Row::texts($row['trials'] ?? [])).'"}'],
            );
            $this->writer->put(
                Outing::class, Uuid::v7(),
                $this->inputs->read(OutingInput::class, ['workspace' => $workspace->id()->toRfc4122(), 'trials' => $trials] + $row),
            );
        }
    }

    /** What the team measures with: it belongs to the workspace, and so to no device file. */
    private function instruments(Workspace $workspace): void
    {
        foreach (Row::rows(Row::json((string) file_get_contents($this->folder.'/instruments.json'))) as $row) {
            $this->writer->put(
                Instrument::class, Uuid::v7(),
                $this->inputs->read(InstrumentInput::class, ['workspace' => $workspace->id()->toRfc4122()] + $row),
            );
        }
    }

    /** What was photographed and filmed on two days, and that nobody has gone through yet. */
    private function heap(Workspace $workspace, string $folder): void
    {
        $heap = Row::json((string) file_get_contents($this->folder.'/heap.json'));
        $at = $workspace->id()->toRfc4122();
        $ahead = [];
        foreach (Row::rows($heap['cameras'] ?? []) as $camera) {
            $ahead[Row::text($camera['name'])] = Row::number($camera['ahead']);
            $this->writer->put(Camera::class, Uuid::v7(), $this->inputs->read(CameraInput::class, ['workspace' => $at] + $camera));
        }
        foreach (Row::rows($heap['files'] ?? []) as $row) {
            $begun = $this->em->getConnection()->fetchOne(
                'SELECT extract(epoch FROM r.started_at) FROM run r JOIN trial t ON t.id = r.trial_id
                 WHERE r.workspace_id = ? AND t.name = ? AND r.number = ? ORDER BY r.started_at DESC LIMIT 1', [$at, $row['trial'], $row['number']],
            );
            $says = Row::number($begun) + Row::number($row['after']) + ($ahead[Row::text($row['camera'])] ?? 0.0);
            $seconds = Row::whole($row['seconds'] ?? 0);
            $picture = self::drawn($folder, Row::text($row['scene']), Row::whole($row['seed']));
            $this->heap->take(Uuid::v7(), [
                'workspace' => $at, 'name' => Row::text($row['name']), 'camera' => Row::text($row['camera']), 'zone' => 'Europe/Berlin',
                'modified' => gmdate('Y-m-d\TH:i:s\Z', (int) $says + $seconds),
            ], $seconds === 0 ? $picture : self::panned($picture, $seconds));
        }
    }

    /** A picture of the demo, drawn the first time that it is asked for. */
    private static function drawn(string $folder, string $scene, int $seed): string
    {
        $picture = sprintf('%s/%s-%d.jpg', $folder, $scene, $seed);
        if (!is_file($picture)) {
            \Picture::draw($scene, $seed, $picture);
        }

        return $picture;
    }

    /** The same as a clip, as if somebody had walked along it. */
    private static function panned(string $picture, int $seconds): string
    {
        $clip = $picture.'.mp4';
        if (!is_file($clip)) {
            (new Process([
                'ffmpeg', '-v', 'error', '-y', '-loop', '1', '-i', $picture, '-t', (string) $seconds, '-r', '12', '-vf',
                'scale=960:720,crop=640:480:30*t:15*t', '-pix_fmt', 'yuv420p', $clip,
            ]))->mustRun();
        }

        return $clip;
    }

    /** @return array<string, mixed> */
    private function file(string $name, ?string $folder): array
    {
        /** @var array<string, mixed> $file */
        $file = json_decode((string) file_get_contents($this->folder.'/'.$name.'.json'), true, 64, JSON_THROW_ON_ERROR);
        if ($folder === null) {
            return ['photos' => []] + $file;
        }
        require_once $this->folder.'/Picture.php';
        if (!is_dir($folder)) {
            mkdir($folder, 0o755, true);
        }
        $photos = [];
        foreach (is_array($file['photos'] ?? null) ? $file['photos'] : [] as $photo) {
            if (!is_array($photo) || !is_string($photo['scene'] ?? null) || !is_int($photo['seed'] ?? null)) {
                continue;
            }
            $picture = self::drawn($folder, $photo['scene'], $photo['seed']);
            $photos[] = ['picture' => base64_encode((string) file_get_contents($picture))] + $photo;
        }

        return ['photos' => $photos] + $file;
    }
}
