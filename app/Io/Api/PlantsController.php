<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\Models\Plant;
use App\Ground\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

final class PlantsController extends Controller
{
    public function __construct(private readonly PlantBook $book)
    {
    }

    public function index(Request $request): JsonResponse
    {
        $filters = Listing::filters($request, ['garden' => ['integer', 'min:1'], 'kind' => ['string', 'max:80']]);
        $plants = Plant::query();
        foreach (['garden' => 'garden_id', 'kind' => 'kind'] as $filter => $column) {
            if (isset($filters[$filter])) {
                $plants->where($column, $filters[$filter]);
            }
        }

        return Listing::answer($request, $plants->orderBy('id'), $this->row(...));
    }

    public function show(Plant $plant): JsonResponse
    {
        return Listing::one($this->row($plant));
    }

    /** @return array<string, mixed> */
    private function row(Plant $plant): array
    {
        return [
            'id' => $plant->id,
            'garden_id' => $plant->garden_id,
            'kind' => $plant->kind,
            'kind_name' => $this->book->nameOf($plant->kind),
            'label' => $plant->label,
            'bed' => $plant->bed,
            'planted_on' => self::day($plant->planted_on),
            'count' => $plant->count,
            'height_mm' => $plant->height_mm,
            'spread_mm' => $plant->spread_mm,
            'run_mm' => $plant->run_mm,
            'form' => $plant->form,
            'aim' => $plant->aim,
            'hazards' => $plant->hazards,
            'notes' => $plant->notes,
        ];
    }

    private static function day(mixed $day): ?string
    {
        return $day === null ? null : (string) $day;
    }
}
