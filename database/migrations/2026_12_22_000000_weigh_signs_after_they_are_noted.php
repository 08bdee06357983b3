<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Written with the sign or the garden it tells of, gone once all who hear of it have been weighed.
        Schema::create('signs_to_weigh', static function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('garden_id')->index();
            $table->double('latitude')->nullable();
            $table->double('longitude')->nullable();
            $table->smallInteger('season')->nullable();
        });
        Schema::table('firms', static function (Blueprint $table): void {
            $table->string('signs_weigher')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('firms', static fn (Blueprint $table) => $table->dropColumn('signs_weigher'));
        Schema::drop('signs_to_weigh');
    }
};
