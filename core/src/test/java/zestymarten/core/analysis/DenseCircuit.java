package zestymarten.core.analysis;

import java.util.List;
import zestymarten.core.assembly.Terminal;

/**
 * Resistance between all terminals by Gauss and Jordan on the grounded Laplacian: without any code of the product but the names of
 * terminals.
 */
final class DenseCircuit {
    private final List<Terminal> nodes;
    private final double[][] matrix;

    DenseCircuit(List<Terminal> nodes) {
        this.nodes = nodes;
        matrix = new double[nodes.size()][nodes.size()];
    }

    void join(Terminal one, Terminal other, double ohm) {
        int a = nodes.indexOf(one);
        int b = nodes.indexOf(other);
        matrix[a][a] += 1 / ohm;
        matrix[b][b] += 1 / ohm;
        matrix[a][b] -= 1 / ohm;
        matrix[b][a] -= 1 / ohm;
    }

    /** Resistance between each two nodes, in their order; beyond 10^9 for no path. */
    double[][] between() {
        int n = nodes.size();
        for (int i = 0; i < n; i++) {
            matrix[i][i] += 1e-10; // a leak to ground that stands for no path
        }
        double[][] inverse = inverse(matrix);
        double[][] between = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                between[i][j] = inverse[i][i] + inverse[j][j] - 2 * inverse[i][j];
            }
        }
        return between;
    }

    private static double[][] inverse(double[][] matrix) {
        int n = matrix.length;
        double[][] work = new double[n][2 * n];
        for (int i = 0; i < n; i++) {
            System.arraycopy(matrix[i], 0, work[i], 0, n);
            work[i][n + i] = 1;
        }
        for (int column = 0; column < n; column++) {
            int pivot = column;
            for (int row = column; row < n; row++) {
                pivot = Math.abs(work[row][column]) > Math.abs(work[pivot][column]) ? row : pivot;
            }
            double[] swap = work[column];
            work[column] = work[pivot];
            work[pivot] = swap;
            for (int row = 0; row < n; row++) {
                if (row != column) {
                    double factor = work[row][column] / work[column][column];
                    for (int k = column; k < 2 * n; k++) {
                        work[row][k] -= factor * work[column][k];
                    }
                }
            }
        }
        double[][] result = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                result[i][j] = work[i][n + j] / work[i][i];
            }
        }
        return result;
    }
}
