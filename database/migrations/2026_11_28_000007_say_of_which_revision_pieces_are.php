<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('pieces', function (Blueprint $table): void {
            // Of which revision it was made, where that is known: what a new version of the program makes of it says what that changed.
            $table->unsignedInteger('revision')->nullable();
            // The cut and the print that it is kept in place of, as it is.
            $table->jsonb('kept')->nullable();
        });
        DB::statement('UPDATE pieces SET revision = prints.revision FROM prints WHERE prints.id = pieces.print_id');
    }

    public function down(): void
    {
        Schema::table('pieces', function (Blueprint $table): void {
            $table->dropColumn(['revision', 'kept']);
        });
    }
};
