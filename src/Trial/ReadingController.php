<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Http\Answers;
use Lustrum\Http\Problem;
use Lustrum\Method\Channel;
use Lustrum\Record\Measure;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class ReadingController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private ReadingCheck $check,
    ) {
    }

    /** How a typed reading would be kept; nothing is stored. */
    #[Route('/api/readings/preview', methods: ['POST'], priority: 1)]
    #[Answers(ReadingPreview::class)]
    public function preview(#[MapRequestPayload] ReadingInput $input): JsonResponse
    {
        [$run, $channel] = $this->place($input);
        $typed = self::typed($input->text, $channel);
        $shown = $typed->to($channel->unit);

        return new JsonResponse(new ReadingPreview(Measure::of($typed)->view()->text, Measure::of($shown)->view()->text, $typed->unit->symbol !== $channel->unit, $this->check->questions($run, $channel, $input->text)));
    }

    /** Keeps a reading. An odd one is asked back once; it is kept when the person confirms it. */
    #[Route('/api/readings/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(ReadingView::class)]
    public function put(Uuid $id, #[MapRequestPayload] ReadingInput $input): JsonResponse
    {
        [$run, $channel] = $this->place($input);
        self::typed($input->text, $channel);
        $questions = $input->confirmed === '' && $this->records->manager()->find(Reading::class, $id) === null ? $this->check->questions($run, $channel, $input->text) : [];
        if ($questions !== []) {
            throw Problem::asksBack($questions[0]->sentence, $questions);
        }

        return $this->writer->put(Reading::class, $id, $input);
    }

    /** Amends a reading; the first value stays beside it. */
    #[Route('/api/readings/{id}/amend', requirements: self::ID, methods: ['POST'])]
    #[Answers(ReadingView::class)]
    public function amend(Uuid $id, #[MapRequestPayload] AmendReadingInput $input): JsonResponse
    {
        return $this->writer->amend(Reading::class, $id, $input->version, static function (Reading $reading, string $by) use ($input): void { $reading->amend($input->text, $input->reason, $by); });
    }

    /** Amends the outcome of a run; the first one stays beside it. */
    #[Route('/api/runs/{id}/amend', requirements: self::ID, methods: ['POST'])]
    #[Answers(RunView::class)]
    public function amendOutcome(Uuid $id, #[MapRequestPayload] AmendOutcomeInput $input): JsonResponse
    {
        return $this->writer->amend(Run::class, $id, $input->version, static function (Run $run, string $by) use ($input): void { $run->amendOutcome($input->outcome, $input->reason, $by); });
    }

    /** @return array{Run, Channel} */
    private function place(ReadingInput $input): array
    {
        $run = $this->records->named(Run::class, $input->run, 'run');

        $channel = $run->trial()->method()->channel($input->channel) ?? throw Problem::violation('channel', 'The method has no such channel.');

        return [$run, $channel->isDerived() ? throw Problem::violation('channel', sprintf('%s is worked out from the other channels; it is not typed.', $channel->metric)) : $channel];
    }

    /** The text as a quantity that fits the channel; what does not fit is refused at the field. */
    private static function typed(string $text, Channel $channel): Quantity
    {
        try {
            $typed = Quantity::typed($text);
            $typed->to($channel->unit);

            return $typed;
        } catch (CoreException $e) {
            throw Problem::violation('text', $e->getMessage());
        }
    }
}
